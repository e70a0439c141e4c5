import type { GrooveResults } from '@vitrum/core';
import { useOwnOf } from '../../evaluation/own';
import { LitToUnlit, percent, ReportTable, Verdict } from '../../steps/glow-report';
import { useLength } from '../../view/use-length';

/** What the eye makes of the lines, and where the light goes. */
export const GlowStep = () => {
  const own = useOwnOf<GrooveResults>('groove');
  const show = useLength();
  if (own === null) return null;
  const { glow, geometry } = own;
  const { evenness, way } = glow;
  const cd = (value: number): string => `${Math.round(value).toLocaleString('en')} cd/m²`;
  return (
    <>
      <Verdict glow={glow} />
      <h3 className="mt-3 font-bold">What the eye sees</h3>
      <ReportTable
        rows={[
          ['mean luminance of the lines', cd(evenness.meanCdM2)],
          ['brightest place', cd(evenness.maxCdM2)],
          ['darkest place', cd(evenness.minCdM2)],
          ['darkest to mean', percent(evenness.minOverMean)],
          ['on the carrier beside them, at most', cd(glow.carrierCdM2)],
          ['the rectangle round them, dark ground and all', cd(glow.overAllCdM2)],
          ['single LEDs, contrast', percent(way.dotContrast)],
        ]}
      />
      <h3 className="mt-3 font-bold">Where the light goes</h3>
      <ReportTable
        rows={[
          ['from the LEDs', `${glow.emittedLm.toFixed(0)} lm`],
          ['out of the groove', `${glow.outLm.toFixed(0)} lm, ${percent(way.out)}`],
          ['seen straight from LEDs', percent(way.straight)],
          ['shines', `${show(geometry.groove.litMm)} wide`],
        ]}
      />
      <h3 className="mt-3 font-bold">Line by line</h3>
      <ReportTable
        rows={geometry.lines.map(
          ({ number, lengthMm, layer }, index) =>
            [
              `${number}${layer === '' ? '' : `, ${layer}`}, ${show(lengthMm)}`,
              cd(glow.linesCdM2[index] ?? 0),
            ] as const,
        )}
      />
      <LitToUnlit glow={glow} />
    </>
  );
};
