import type { Evaluation, Finding } from '@vitrum/core';

/** As a maker reads it: hundredths at the most. */
const rounded = (value: number): number => Math.round(value * 100) / 100;

const findingLines = (finding: Finding): readonly string[] => [
  `${finding.severity.toUpperCase().padEnd(5)} ${finding.what}`,
  `      ${finding.why}`,
  ...finding.fixes.map(
    (fix) =>
      `      · ${fix.label}: ${fix.measure} ${rounded(fix.before)} → ${rounded(fix.after)} ${fix.unit}${fix.settles ? '' : ' (helps, does not settle)'}`,
  ),
];

/** Findings as lines for a terminal. */
export const findingsText = (findings: readonly Finding[]): string =>
  findings.length === 0 ? 'Nothing to mend.' : findings.flatMap(findingLines).join('\n');

/** Figures and findings as lines for a terminal. */
export const evaluationText = ({ design, figures, findings }: Evaluation): string =>
  [
    design.name,
    ...figures.map(({ text, label, kind }) => `  ${text.padStart(12)}  ${label} (${kind})`),
    '',
    findingsText(findings),
  ].join('\n');

/** What a program wants to know: figures, findings and lists, without rasters. */
export const evaluationJson = ({
  figures,
  findings,
  geometry,
  runs,
  circuit,
  heat,
  parts,
  packing,
  cost,
  buildList: plan,
  glow,
}: Evaluation): string => {
  const { segments, stripMm, rowPitchMm, ledPitchMm } = runs;
  const { fluxShare, ...wiring } = circuit;
  return `${JSON.stringify(
    {
      figures,
      findings,
      geometry,
      runs: { segments, stripMm, rowPitchMm, ledPitchMm, ledCount: fluxShare.length },
      circuit: wiring,
      evenness: glow.evenness,
      ...('balance' in glow ? { fluxBalance: glow.balance } : { glowMm: { half: glow.halfMm, tenth: glow.tenthMm } }),
      daylight: glow.daylight,
      heat,
      parts,
      packing,
      plan,
      cost,
    },
    null,
    2,
  )}\n`;
};
