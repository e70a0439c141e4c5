import type { AssemblyEvaluation, FrameResults } from '@vitrum/core';
import { lazyPart } from '../../ui/lazy-part';
import { BlockMark } from '../boxes/block-mark';
import { useOwnBox } from '../boxes/own-box';
import type { BuildPage } from '../common/build-page';
import { facedRows } from '../faces/prove-rows';

const BrightnessCheck = lazyPart(() => import('../boxes/brightness-check'), 'BrightnessCheck');

// A page is asked about assemblies of its own build alone.
const asFrame = (own: AssemblyEvaluation): FrameResults => own as unknown as FrameResults;

const kindWords = { print: 'print', 'mirror-tile': 'tile', 'lit-mirror': 'mirror' } as const;

const artworkDetail = (own: AssemblyEvaluation): string => {
  const { assembly, geometry } = asFrame(own);
  return `${kindWords[assembly.shows.kind]} ${Math.round(geometry.face.widthMm)}×${Math.round(geometry.face.heightMm)} mm`;
};

const ProveFields = () => {
  const own = useOwnBox();
  return own === null ? null : <BrightnessCheck own={own} />;
};

/** Display frames on the page. */
export const framePage: BuildPage = {
  name: 'frame',
  loadHelp: () => import('./field-help'),
  loadGuide: () => import('./guide'),
  stepNames: { case: 'Frame', face: 'Sheets' },
  panels: {
    case: lazyPart(() => import('../boxes/case-step'), 'CaseStep'),
    light: lazyPart(() => import('../boxes/light-step'), 'LightStep'),
    face: lazyPart(() => import('./sheets-step'), 'SheetsStep'),
  },
  artworkDetail,
  faceDetail: (own) => `pass ${Math.round(asFrame(own).stack.transmittance * 100)} %`,
  cutting: {
    tool: 'film-knife',
    front: 'from the front',
    // A mirror is worked from behind, where its silver is; a print is printed.
    behind: null,
    label: 'Worked by',
    takes: ({ engraves, cuts }) => engraves !== undefined || cuts.some(({ stuff }) => stuff === 'film'),
  },
  ArtworkAreas: lazyPart(() => import('./artwork-of-kind'), 'ArtworkOfKind'),
  ArtworkFields: lazyPart(() => import('./shows-fields'), 'ShowsFields'),
  FeedFields: null,
  overlays: [],
  drawn: { strip: BlockMark },
  SegmentStart: null,
  ripples: { fine: 'no dots, no bands', amiss: 'dots or bands show' },
  proveRows: (own) => facedRows(asFrame(own)),
  ProveFields,
};
