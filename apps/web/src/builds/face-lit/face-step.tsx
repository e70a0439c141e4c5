import { useFields } from '../../document/selection';
import type { FaceLitAssembly, FaceLitResults } from '@vitrum/core';
import { useOwnOf } from '../../evaluation/own';
import { ChoiceField } from '../../fields/design-fields';
import { aboutSheet } from '../../fields/material-facts';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { CoatsField } from '../../steps/coats-field';
import { LitToUnlit, percent, ReportTable, Spots, Verdict } from '../../steps/glow-report';

/** The diffusing faces of letters, and what the eye makes of them. */
export const LetterFaceStep = () => {
  const at = useFields<FaceLitAssembly>();
  const { faces } = useCatalogue();
  const own = useOwnOf<FaceLitResults>('face-lit');
  if (own === null) return null;
  const { stack, glow } = own;
  const { evenness } = glow;
  return (
    <>
      <ChoiceField
        label="Face"
        field={at.face.sheetId}
        choices={choicesOf(faces, aboutSheet)}
        wide
        hint={`passes ${percent(own.materials.face.transmittance)} (typical)`}
      />
      <CoatsField field={at.face.coats} />
      <p className="text-xs text-soft">
        All layers together pass {percent(stack.transmittance)} and give {percent(stack.innerReflectance)} back into the
        letters.
      </p>
      <Verdict glow={glow} />
      <h3 className="mt-3 font-bold">What the eye sees</h3>
      <ReportTable
        rows={[
          ['mean luminance', `${Math.round(evenness.meanCdM2)} cd/m²`],
          ['5th to 95th percentile', `${Math.round(evenness.lowCdM2)}–${Math.round(evenness.highCdM2)} cd/m²`],
          ['reflected at least once', percent(glow.indirectShare)],
          ['out of the faces', `${Math.round(glow.balance.outLm)} lm ± ${(glow.errorShare * 100).toFixed(1)} %`],
          ['darkest to mean', evenness.minOverMean.toFixed(2)],
          ['contrast, LED pitch', `${(evenness.dots.contrast * 100).toFixed(2)} %`],
          ['eye sees from there on', `${(evenness.dots.threshold * 100).toFixed(2)} %`],
        ]}
      />
      <p className="text-xs text-soft">Light inside the letters is traced; the same design gives the same figures.</p>
      <Spots glow={glow} />
      <LitToUnlit glow={glow} />
    </>
  );
};
