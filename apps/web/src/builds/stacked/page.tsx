import type { AssemblyEvaluation, StackedResults } from '@vitrum/core';
import { lazyPart } from '../../ui/lazy-part';
import type { BuildPage } from '../common/build-page';

// A page is asked about assemblies of its own build alone.
const asStack = (own: AssemblyEvaluation): StackedResults => own as unknown as StackedResults;

const cd = (value: number): string => `${Math.round(value).toLocaleString('en')} cd/m²`;

/** Stacked plates on the page. */
export const stackedPage: BuildPage = {
  name: 'stacked',
  loadHelp: () => import('./field-help'),
  loadGuide: () => import('./guide'),
  stepNames: { case: 'Plates', face: 'Lid' },
  panels: {
    case: lazyPart(() => import('./plates-step'), 'PlatesStep'),
    light: lazyPart(() => import('./light-step'), 'LightStep'),
    face: lazyPart(() => import('./lid-step'), 'LidStep'),
  },
  faceDetail: (own) => cd(asStack(own).glow.evenness.meanCdM2),
  cutting: { tool: 'laser', front: 'from the front', behind: null },
  ArtworkFields: () => null,
  FeedFields: null,
  overlays: [],
  drawn: {},
  SegmentStart: null,
  ripples: { fine: 'no dots', amiss: 'dots show' },
  proveRows: (own) => {
    const { glow, geometry } = asStack(own);
    return [
      ['Letters', cd(glow.lettersCdM2), 'meter on a wide stroke, room dark'],
      ['Dimmest letter', cd(glow.evenness.minCdM2), `${Math.round(100 * glow.evenness.minOverMean)} % of the mean`],
      ...glow.bands.map(
        ({ index, meanCdM2 }) => [`Edge of ring ${index + 1}`, cd(meanCdM2), 'meter against the edge'] as const,
      ),
      ['Thickness', `${geometry.outside.depthMm.toFixed(1)} mm`, 'calipers, at four places'],
    ];
  },
  ProveFields: null,
};
