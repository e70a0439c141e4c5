import type { AssemblyEvaluation, BoxResults } from '@vitrum/core';
import { useOwnOf } from '../../evaluation/own';
import { facedRows } from '../faces/prove-rows';
import type { BuildPage } from '../common/build-page';
import { BlockMark } from './block-mark';
import { BrightnessCheck } from './brightness-check';
import { CaseStep } from './case-step';
import { FaceStep } from './face-step';
import { FilmFields } from './film-fields';
import { LightStep } from './light-step';

// A page is asked about assemblies of its own build alone.
const asBox = (own: AssemblyEvaluation): BoxResults => own as unknown as BoxResults;

const ProveFields = () => {
  const own = useOwnOf<BoxResults>('lightbox');
  return own === null ? null : <BrightnessCheck own={own} />;
};

/** Light boxes on the page. */
export const lightboxPage: BuildPage = {
  name: 'lightbox',
  stepNames: {},
  panels: { case: CaseStep, light: LightStep, face: FaceStep },
  faceDetail: (own) => `passes ${Math.round(asBox(own).stack.transmittance * 100)} %`,
  cutting: { tool: 'film-knife', front: 'from the front', behind: 'from behind, cut mirrored' },
  ArtworkFields: FilmFields,
  FeedFields: null,
  overlays: [],
  drawn: { strip: BlockMark },
  SegmentStart: null,
  ripples: { fine: 'no dots, no bands', amiss: 'dots or bands show' },
  proveRows: (own) => facedRows(asBox(own)),
  ProveFields,
};
