import { useFields } from '../../document/selection';
import type { HaloAssembly, HaloResults } from '@vitrum/core';
import { useOwnOf } from '../../evaluation/own';
import { ChoiceField } from '../../fields/design-fields';
import { useLength } from '../../view/use-length';
import { aboutWall } from '../../fields/material-facts';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { LitToUnlit, percent, ReportTable, Spots, Verdict } from '../../steps/glow-report';

/** The wall that halo letters light, and what the eye makes of it. */
export const WallStep = () => {
  const at = useFields<HaloAssembly>();
  const { walls } = useCatalogue();
  const own = useOwnOf<HaloResults>('halo');
  const show = useLength();
  if (own === null) return null;
  const { glow } = own;
  const { evenness } = glow;
  const shade = glow.shadows.reduce((most, { share }) => Math.max(most, share), 0);
  return (
    <>
      <ChoiceField
        label="Wall or backer"
        wide
        field={at.letters.wallId}
        choices={choicesOf(walls, aboutWall)}
        hint={`reflects ${percent(glow.faceReflectance)} of what falls on it (typical)`}
      />
      <Verdict glow={glow} />
      <h3 className="mt-3 font-bold">What the eye sees</h3>
      <ReportTable
        rows={[
          ['mean along the edge', `${Math.round(evenness.meanCdM2)} cd/m²`],
          ['5th to 95th percentile', `${Math.round(evenness.lowCdM2)}–${Math.round(evenness.highCdM2)} cd/m²`],
          ['darkest to mean, tips left out', evenness.minOverMean.toFixed(2)],
          ['glow to half', show(glow.halfMm)],
          ['glow to a tenth', show(glow.tenthMm)],
          ['scallops, LED pitch', `${(evenness.dots.contrast * 100).toFixed(2)} %`],
          ['eye sees from there on', `${(evenness.dots.threshold * 100).toFixed(2)} %`],
          ['light that is seen', `${Math.round(glow.seenLm)} of ${Math.round(glow.onWallLm)} lm`],
          ['by way of the backs', percent(glow.bouncedShare)],
          ['darkest post shadow', shade > 0 ? `takes ${percent(shade)}` : 'none'],
          ['through the returns', `${Math.round(glow.leaks.throughReturnsCdM2)} cd/m²`],
        ]}
      />
      <Spots glow={glow} />
      <LitToUnlit glow={glow} />
    </>
  );
};
