import type { Finding, PanelResults } from '@vitrum/core';
import { changeDesign } from '../../document/document-store';
import { useOwnOf } from '../../evaluation/own';
import { useReadFindings } from '../../evaluation/read-findings';
import { LitToUnlit, percent, ReportTable, Verdict } from '../../steps/glow-report';
import { TraceCheck } from '../../tryouts/trace-check';
import { Button } from '../../ui/button';
import { useLength } from '../../view/use-length';

const aboutFading = (findings: readonly Finding[]): readonly Finding[] =>
  findings.filter(({ rule }) => rule === 'fades');

/** The fill graded so that all of the artwork shines alike, at a click. */
const EvenIt = ({ own }: { readonly own: PanelResults }) => {
  const fix = useReadFindings(aboutFading)
    .find(({ finding }) => finding.assembly === own.index)
    ?.finding.fixes.find(({ id }) => id === 'even-fill');
  if (fix === undefined) return null;
  return (
    <Button className="my-1 text-left !whitespace-normal" onClick={() => void changeDesign(fix.change)}>
      Even it: {`${fix.label[0]?.toLowerCase() ?? ''}${fix.label.slice(1)}`}, {Math.round(fix.after)} % at the dimmest
    </Button>
  );
};

/** What the eye makes of the lit artwork, and where the light goes. */
export const GlowStep = () => {
  const own = useOwnOf<PanelResults>('edge-lit');
  const show = useLength();
  if (own === null) return null;
  const { glow } = own;
  const { patches, fans, entry, edgesLm, emittedLm } = glow;
  const edges = Object.values(edgesLm).reduce((sum, lm) => sum + lm, 0);
  const lm = (value: number): string => `${value.toFixed(1)} lm, ${percent(emittedLm > 0 ? value / emittedLm : 0)}`;
  return (
    <>
      <Verdict glow={glow} />
      <EvenIt own={own} />
      <h3 className="mt-3 font-bold">What the eye sees</h3>
      <ReportTable
        rows={[
          ['mean luminance of the artwork', `${Math.round(patches.meanCdM2)} cd/m²`],
          ['brightest part', `${Math.round(patches.brightest.cdM2)} cd/m²`],
          ['dimmest part', `${Math.round(patches.dimmest.cdM2)} cd/m²`],
          ['dimmest to brightest', percent(patches.evenShare)],
          ['last to first', percent(patches.lastToFirst)],
          ['artwork begins', fans.nearestMm === null ? 'nowhere' : show(fans.nearestMm)],
          ['single LEDs show up to', show(fans.evenFromMm)],
          ...(['top', 'right', 'bottom', 'left'] as const)
            .filter((side) => glow.edgesCdM2[side] >= 1 && !own.assembly.light.edges.includes(side))
            .map(
              (side) =>
                [
                  `the ${side} edge, edge on`,
                  `${Math.round(glow.edgesCdM2[side]).toLocaleString('en')} cd/m²`,
                ] as const,
            ),
        ]}
      />
      <h3 className="mt-3 font-bold">Where the light goes</h3>
      <ReportTable
        rows={[
          ['from the LEDs', `${emittedLm.toFixed(0)} lm`],
          ['past the edge', percent(entry.missed)],
          ['thrown back by it', percent(entry.thrownBack)],
          ['out of the artwork', lm(glow.workedLm)],
          ...(glow.paintLm > 0 ? [['into the paint', lm(glow.paintLm)] as const] : []),
          ['out at the edges', lm(edges)],
          ['lost in the sheet', lm(glow.lostLm)],
        ]}
      />
      <TraceCheck
        own={own}
        about="Follows single photons through the sheet in three dimensions, from face to face and edge to edge. Slower than rays with slopes, and it takes nothing on average."
        quickly="by rays"
      />
      <LitToUnlit glow={glow} />
    </>
  );
};
