import type { AssemblyEvaluation, FaceLitResults } from '@vitrum/core';
import { facedRows } from '../faces/prove-rows';
import { CrossingField } from '../letters/crossing-field';
import { LetterStart } from '../letters/letter-start';
import { LetterStrip } from '../letters/letter-strip';
import { LetterLines } from '../letters/letter-lines';
import type { BuildPage } from '../common/build-page';
import { lazyPart } from '../../ui/lazy-part';

const LetterLightStep = lazyPart(() => import('../letters/light-step'), 'LetterLightStep');
const SplitFields = lazyPart(() => import('../letters/split-fields'), 'SplitFields');

// A page is asked about assemblies of its own build alone.
const asCans = (own: AssemblyEvaluation): FaceLitResults => own as unknown as FaceLitResults;

/** Face-lit letters on the page. */
export const faceLitPage: BuildPage = {
  name: 'face-lit',
  loadHelp: () => import('./field-help'),
  loadGuide: () => import('./guide'),
  stepNames: { case: 'Cans' },
  panels: {
    case: lazyPart(() => import('./cans-step'), 'CansStep'),
    light: () => <LetterLightStep build="face-lit" behind={false} />,
    face: lazyPart(() => import('./face-step'), 'LetterFaceStep'),
  },
  faceDetail: (own) => `passes ${Math.round(asCans(own).stack.transmittance * 100)} %`,
  cutting: { tool: 'bit-3', front: 'front up', behind: 'back up, drawn mirrored' },
  ArtworkFields: () => <SplitFields build="face-lit" />,
  FeedFields: () => <CrossingField build="face-lit" usual="holes" />,
  overlays: [],
  drawn: { strip: LetterStrip, always: LetterLines },
  SegmentStart: LetterStart,
  ripples: { fine: 'no dots, no bands', amiss: 'dots or bands show' },
  proveRows: (own) => facedRows(asCans(own)),
  ProveFields: null,
};
