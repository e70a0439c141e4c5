import { fieldsOf, type LetterAssembly } from '@vitrum/core';
import { useChosenIndex } from '../../../document/selection';
import { useOwn } from '../../../evaluation/own';
import { ChoiceField, LengthField } from '../../../fields/design-fields';
import { aboutSheet } from '../../../fields/material-facts';
import { choicesOf, useCatalogue } from '../../../job/catalogue-context';
import { LetterLightStep } from '../../../builds/letters/light-step';
import type { BuildPage } from '../../../builds/common/build-page';
import { LitToUnlit, Verdict } from '../../../steps/glow-report';

type Disc = LetterAssembly & {
  readonly disc: { readonly diameterMm: number; readonly depthInsideMm: number };
  readonly face: { readonly sheetId: string };
};

const useDisc = () => fieldsOf<Disc>(`assemblies.${useChosenIndex()}`);

const DiscStep = () => {
  const { disc } = useDisc();
  return (
    <>
      <LengthField label="Diameter" field={disc.diameterMm} />
      <LengthField label="Depth inside" field={disc.depthInsideMm} />
    </>
  );
};

const FaceStep = () => {
  const { face } = useDisc();
  const { faces } = useCatalogue();
  const own = useOwn();
  return (
    <>
      <ChoiceField label="Face" field={face.sheetId} choices={choicesOf(faces, aboutSheet)} wide />
      {own !== null && <Verdict glow={own.glow} />}
      {own !== null && <LitToUnlit glow={own.glow} />}
    </>
  );
};

/** The page’s part of a build that stands in the tests alone. */
export const litDiscPage: BuildPage = {
  name: 'lit-disc',
  loadHelp: () => Promise.resolve({ help: {} }),
  loadGuide: () =>
    Promise.resolve({ guide: { about: 'A disc, lit.', decides: [], order: [], wrong: [], pictures: [] } }),
  stepNames: { case: 'Disc' },
  panels: { case: DiscStep, light: () => <LetterLightStep build="lit-disc" behind={false} />, face: FaceStep },
  faceDetail: ({ glow }) => `${Math.round(glow.evenness.meanCdM2)} cd/m²`,
  cutting: { tool: 'bit-3', front: 'front up', behind: 'back up, drawn mirrored' },
  ArtworkFields: () => null,
  FeedFields: null,
  overlays: [],
  drawn: {},
  SegmentStart: null,
  ripples: { fine: 'no dots', amiss: 'dots show' },
  proveRows: ({ glow }) => [['Mean luminance', `${Math.round(glow.evenness.meanCdM2)} cd/m²`, 'over the disc']],
  ProveFields: null,
};
