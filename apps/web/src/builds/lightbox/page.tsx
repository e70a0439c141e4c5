import type { AssemblyEvaluation, BoxResults } from '@vitrum/core';
import { useOwnBox } from '../boxes/own-box';
import { facedRows } from '../faces/prove-rows';
import type { BuildPage } from '../common/build-page';
import { BlockMark } from '../boxes/block-mark';
import { lazyPart } from '../../ui/lazy-part';

const BrightnessCheck = lazyPart(() => import('../boxes/brightness-check'), 'BrightnessCheck');

// A page is asked about assemblies of its own build alone.
const asBox = (own: AssemblyEvaluation): BoxResults => own as unknown as BoxResults;

const ProveFields = () => {
  const own = useOwnBox();
  return own === null ? null : <BrightnessCheck own={own} />;
};

/** Light boxes on the page. */
export const lightboxPage: BuildPage = {
  name: 'lightbox',
  loadHelp: () => import('./field-help'),
  loadGuide: () => import('./guide'),
  stepNames: {},
  panels: {
    case: lazyPart(() => import('../boxes/case-step'), 'CaseStep'),
    light: lazyPart(() => import('../boxes/light-step'), 'LightStep'),
    face: lazyPart(() => import('../boxes/face-step'), 'FaceStep'),
  },
  faceDetail: (own) => `passes ${Math.round(asBox(own).stack.transmittance * 100)} %`,
  cutting: { tool: 'film-knife', front: 'from the front', behind: 'from behind, cut mirrored' },
  ArtworkFields: lazyPart(() => import('./film-fields'), 'FilmFields'),
  FeedFields: null,
  overlays: [],
  drawn: { strip: BlockMark },
  SegmentStart: null,
  ripples: { fine: 'no dots, no bands', amiss: 'dots or bands show' },
  proveRows: (own) => facedRows(asBox(own)),
  ProveFields,
};
