import type { AssemblyEvaluation, Evaluation, Finding, TapeFigure } from '@vitrum/core';

/** As a maker reads it: hundredths at the most. */
const rounded = (value: number): number => Math.round(value * 100) / 100;

const findingLines = (finding: Finding): readonly string[] => [
  `${finding.severity.toUpperCase().padEnd(5)} ${finding.what}`,
  `      ${finding.why}`,
  ...finding.fixes.map(
    (fix) =>
      `      · ${finding.id}/${fix.id}: ${fix.label}: ${fix.measure} ${rounded(fix.before)} → ${rounded(fix.after)} ${fix.unit}${fix.settles ? '' : ' (helps, does not settle)'}`,
  ),
  ...(finding.whyNone === null ? [] : [`      ${finding.whyNone}`]),
];

/** Findings as lines for a terminal. */
export const findingsText = (findings: readonly Finding[]): string =>
  findings.length === 0 ? 'Nothing to mend.' : findings.flatMap(findingLines).join('\n');

const figureLine =
  (assemblies: Evaluation['assemblies']) =>
  ({ text, label, kind, assembly }: TapeFigure): string => {
    const of = assembly === null ? '' : (assemblies[assembly]?.label ?? '');
    return `  ${text.padStart(12)}  ${of === '' ? '' : `${of}: `}${label} (${kind})`;
  };

/** Fields that the program does not know, as lines for a terminal. */
export const unknownFieldsText = (fields: readonly string[]): string =>
  fields.map((field) => `UNKNOWN ${field}: misspelt, or of a newer version; kept, and without effect`).join('\n');

const isRaster = (value: unknown): boolean =>
  ArrayBuffer.isView(value) || (typeof value === 'object' && value !== null && Object.values(value).some(isRaster));

/** Numbers and lists of a map of light; the map itself is for the picture files. */
const withoutRasters = (glow: object): object =>
  Object.fromEntries(Object.entries(glow).filter(([, value]) => !isRaster(value)));

/** Figures and findings as lines for a terminal. */
export const evaluationText = ({ design, figures, findings, unknownFields, assemblies }: Evaluation): string =>
  [
    design.name,
    ...figures.map(figureLine(assemblies)),
    '',
    findingsText(findings),
    ...(unknownFields.length === 0 ? [] : ['', unknownFieldsText(unknownFields)]),
  ].join('\n');

/** One assembly without its rasters. */
const ownJson = ({ id, build, geometry, runs, glow, heat, share }: AssemblyEvaluation): object => {
  const { segments, stripMm, rowPitchMm, ledPitchMm } = runs;
  return {
    id,
    build,
    geometry,
    runs: { segments, stripMm, rowPitchMm, ledPitchMm, ledCount: share.fluxShare.length },
    light: withoutRasters(glow),
    heat,
  };
};

/** What a program wants to know: figures, findings and lists, without rasters. */
export const evaluationJson = ({
  figures,
  findings,
  unknownFields,
  assemblies,
  circuit,
  parts,
  packing,
  cost,
  buildList,
}: Evaluation): string => {
  const { shares: _, ...wiring } = circuit;
  return `${JSON.stringify(
    {
      figures,
      findings,
      unknownFields,
      assemblies: assemblies.map(ownJson),
      circuit: wiring,
      parts,
      packing,
      buildList,
      cost,
    },
    null,
    2,
  )}\n`;
};
