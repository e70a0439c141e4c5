import { capital, type AssemblyEvaluation, type LayersResults } from '@vitrum/core';
import { lazyPart } from '../../ui/lazy-part';
import type { BuildPage } from '../common/build-page';
import { SliceSheets } from './slice-sheets';

// A page is asked about assemblies of its own build alone.
const asScene = (own: AssemblyEvaluation): LayersResults => own as unknown as LayersResults;

const whole = (value: number): string => Math.round(value).toLocaleString('en');

/** Layered scenes on the page. */
export const layersPage: BuildPage = {
  name: 'layers',
  loadHelp: () => import('./field-help'),
  loadGuide: () => import('./guide'),
  stepNames: { artwork: 'Sheets', case: 'Box', face: 'Look' },
  panels: {
    case: lazyPart(() => import('../boxes/case-step'), 'CaseStep'),
    light: lazyPart(() => import('./light-step'), 'SceneLightStep'),
    face: lazyPart(() => import('./look-step'), 'LookStep'),
  },
  artworkDetail: (own) => {
    const { sheets } = asScene(own).scene;
    return `${sheets.length} sheet${sheets.length === 1 ? '' : 's'}`;
  },
  faceDetail: (own) => `${whole(asScene(own).glow.evenness.meanCdM2)} cd/m²`,
  cutting: { tool: 'laser', front: 'from the front', behind: null },
  ArtworkFields: () => null,
  ArtworkAreas: lazyPart(() => import('./scene-sheets'), 'SceneSheets'),
  SliceHandles: SliceSheets,
  FeedFields: null,
  overlays: [],
  drawn: {},
  SegmentStart: null,
  ripples: { fine: 'no LED in sight', amiss: 'LEDs are seen' },
  proveRows: (own) => {
    const { glow, scene, geometry } = asScene(own);
    return [
      ['Whole scene', `${whole(glow.evenness.meanCdM2)} cd/m²`, 'meter from the reading distance, room dark'],
      ...glow.seen
        .filter(({ seenShare }) => seenShare > 0.02)
        .map(
          ({ name, meanCdM2 }) =>
            [capital(name), `${whole(meanCdM2)} cd/m²`, 'meter close to the middle of it'] as const,
        ),
      ...scene.sheets.map(
        ({ sheet, rearZMm }) =>
          [
            `${sheet.name}, rear side`,
            `${Math.round(10 * rearZMm) / 10} mm`,
            'from the back, with a depth gauge',
          ] as const,
      ),
      [
        'To the clear front',
        `${Math.round(10 * (geometry.inside.depthMm - Math.max(0, ...scene.sheets.map(({ frontZMm }) => frontZMm)))) / 10} mm`,
        'from the foremost sheet',
      ],
    ];
  },
  ProveFields: null,
};
