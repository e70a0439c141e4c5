import type { AssemblyEvaluation, GrooveResults } from '@vitrum/core';
import { lazyPart } from '../../ui/lazy-part';
import type { BuildPage } from '../common/build-page';
import { BehindStrip, CarrierLines } from './carrier-lines';

// A page is asked about assemblies of its own build alone.
const asGroove = (own: AssemblyEvaluation): GrooveResults => own as unknown as GrooveResults;

/** Strip in a groove on the page. */
export const groovePage: BuildPage = {
  name: 'groove',
  loadHelp: () => import('./field-help'),
  loadGuide: () => import('./guide'),
  stepNames: { case: 'Carrier', face: 'Glow' },
  panels: {
    case: lazyPart(() => import('./carrier-step'), 'CarrierStep'),
    light: lazyPart(() => import('./light-step'), 'LightStep'),
    face: lazyPart(() => import('./glow-step'), 'GlowStep'),
  },
  artworkDetail: (own) => {
    const { lines } = asGroove(own).geometry;
    return `${lines.length} line${lines.length === 1 ? '' : 's'}`;
  },
  faceDetail: (own) => `${Math.round(asGroove(own).glow.evenness.meanCdM2).toLocaleString('en')} cd/m²`,
  cutting: { tool: 'bit-3', front: 'front up', behind: null },
  ArtworkFields: () => null,
  ArtworkAreas: lazyPart(() => import('./artwork-lines'), 'ArtworkLines'),
  FeedFields: null,
  overlays: [],
  drawn: { strip: BehindStrip, always: CarrierLines },
  SegmentStart: null,
  ripples: { fine: 'no dots', amiss: 'dots show' },
  proveRows: (own) => {
    const { glow, geometry, runs } = asGroove(own);
    return [
      ['Lines', `${Math.round(glow.evenness.meanCdM2).toLocaleString('en')} cd/m²`, 'meter close to a line, room dark'],
      [
        'Darkest place',
        `${Math.round(glow.evenness.minCdM2).toLocaleString('en')} cd/m²`,
        `${Math.round(100 * glow.evenness.minOverMean)} % of the mean`,
      ],
      [
        'Groove',
        `${geometry.groove.widthMm.toFixed(1)} × ${geometry.groove.depthMm.toFixed(1)} mm`,
        'calipers; strip and cover go in by hand and stay',
      ],
      ['Runs', `${runs.segments.length}`, 'each lit before it was fixed'],
    ];
  },
  ProveFields: null,
};
