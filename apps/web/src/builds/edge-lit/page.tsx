import type { AssemblyEvaluation, PanelResults } from '@vitrum/core';
import { lazyPart } from '../../ui/lazy-part';
import type { BuildPage } from '../common/build-page';

// A page is asked about assemblies of its own build alone.
const asPanel = (own: AssemblyEvaluation): PanelResults => own as unknown as PanelResults;

/** Edge-lit panels on the page. */
export const edgeLitPage: BuildPage = {
  name: 'edge-lit',
  loadHelp: () => import('./field-help'),
  loadGuide: () => import('./guide'),
  stepNames: { case: 'Sheet', face: 'Glow' },
  panels: {
    case: lazyPart(() => import('./sheet-step'), 'SheetStep'),
    light: lazyPart(() => import('./light-step'), 'LightStep'),
    face: lazyPart(() => import('./glow-step'), 'GlowStep'),
  },
  faceDetail: (own) => `${Math.round(100 * asPanel(own).glow.patches.evenShare)} % at the dimmest`,
  cutting: {
    tool: 'engrave-beam',
    front: 'on the front',
    behind: 'on the back, drawn mirrored',
    label: 'Worked with',
    takes: ({ engraves }) => engraves !== undefined,
  },
  ArtworkFields: lazyPart(() => import('./artwork-fields'), 'ArtworkFields'),
  ArtworkAreas: lazyPart(() => import('./artwork-areas'), 'ArtworkAreas'),
  FeedFields: null,
  overlays: [],
  drawn: {},
  SegmentStart: null,
  ripples: { fine: 'no rays of single LEDs', amiss: 'rays show' },
  proveRows: (own) => {
    const { glow, materials, assembly } = asPanel(own);
    const { patches, fans } = glow;
    return [
      ['Brightest part', `${Math.round(patches.brightest.cdM2)} cd/m²`, 'meter close to the worked face, room dark'],
      [
        'Dimmest part',
        `${Math.round(patches.dimmest.cdM2)} cd/m²`,
        `${Math.round(100 * patches.evenShare)} % of the brightest`,
      ],
      [
        'Rays beside the strip',
        fans.evenFromMm === 0 ? 'none' : `up to ${fans.evenFromMm.toFixed(1)} mm`,
        'by eye, from aside',
      ],
      [
        'Slot',
        `${(materials.pane.thicknessMm + 2 * assembly.holder.playMm).toFixed(1)} mm`,
        'calipers; the sheet slides in without force',
      ],
    ];
  },
  ProveFields: null,
};
