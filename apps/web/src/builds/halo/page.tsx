import type { AssemblyEvaluation, HaloResults } from '@vitrum/core';
import { CrossingField } from '../letters/crossing-field';
import { LetterStart } from '../letters/letter-start';
import { LetterStrip } from '../letters/letter-strip';
import { LetterLines } from '../letters/letter-lines';
import type { BuildPage, OverlayProps } from '../common/build-page';
import { PostsOverlay } from './posts-overlay';
import { lazyPart } from '../../ui/lazy-part';

const LetterLightStep = lazyPart(() => import('../letters/light-step'), 'LetterLightStep');
const SplitFields = lazyPart(() => import('../letters/split-fields'), 'SplitFields');

// A page is asked about assemblies of its own build alone.
const asHalo = (own: AssemblyEvaluation): HaloResults => own as unknown as HaloResults;

/** Halo letters on the page. */
export const haloPage: BuildPage = {
  name: 'halo',
  loadHelp: () => import('./field-help'),
  loadGuide: () => import('./guide'),
  stepNames: { case: 'Letters', face: 'Wall' },
  panels: {
    case: lazyPart(() => import('./letters-step'), 'LettersStep'),
    light: () => <LetterLightStep build="halo" behind />,
    face: lazyPart(() => import('./wall-step'), 'WallStep'),
  },
  faceDetail: (own) => `glow ${Math.round(asHalo(own).glow.halfMm)} mm`,
  cutting: { tool: 'bit-3', front: 'front up', behind: 'back up, drawn mirrored' },
  ArtworkFields: () => <SplitFields build="halo" />,
  FeedFields: () => <CrossingField build="halo" usual="over" />,
  overlays: ['posts'],
  drawn: {
    strip: LetterStrip,
    posts: ({ own, view }: OverlayProps) => <PostsOverlay own={asHalo(own)} view={view} />,
    always: LetterLines,
  },
  SegmentStart: LetterStart,
  ripples: { fine: 'no scallops', amiss: 'scallops show' },
  proveRows: (own) => {
    const { glow } = asHalo(own);
    return [
      ['Wall at the edge', `${Math.round(glow.evenness.meanCdM2)} cd/m²`, 'mean along the outlines'],
      ['Glow falls to half', `${Math.round(glow.halfMm)} mm out`, 'by photograph or meter'],
      ['Darkest to mean', glow.evenness.minOverMean.toFixed(2), 'along the edge, tips left out'],
    ];
  },
  ProveFields: null,
};
