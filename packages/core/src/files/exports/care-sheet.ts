import type { Evaluation } from '../../sign/evaluate/index.js';

/** Something to be done once in so many months. */
export interface CareDate {
  readonly everyMonths: number;
  readonly what: string;
}

/** What goes with a sign when it is handed over. */
export interface CareSheet {
  readonly name: string;
  readonly size: string;
  readonly kg: number;
  /** How it was closed and hung, step by step: it opens the other way round. */
  readonly closed: readonly string[];
  readonly cleaning: readonly string[];
  readonly spares: readonly string[];
  /** What lies where: supplies, and each segment of strip with its length. */
  readonly wiring: readonly string[];
  readonly dates: readonly CareDate[];
}

const sizeWords = ({ bounds, depthMm }: Evaluation): string =>
  `${[bounds.width, bounds.height, depthMm].map((value) => Math.round(value)).join(' × ')} mm`;

/** The last step that shuts each assembly, and those that put it up. */
const closedBy = ({ buildList }: Evaluation): readonly string[] => {
  const shut = new Map(
    buildList.steps.filter(({ phase }) => phase === 'assemble').map((step) => [step.assembly, step] as const),
  );
  const hung = buildList.steps.filter(({ phase }) => phase === 'hang');
  return [...shut.values(), ...hung].map(({ title, detail }) => `${title}: ${detail}`);
};

const cleaningOf = ({ design }: Evaluation): readonly string[] => [
  'Switch it off and let it cool. Dust it with a soft brush; a hard cloth scratches acrylic and charges it with dust.',
  'Wipe faces with a soft cloth and a little water with washing-up liquid. No alcohol, no window cleaner, no solvent: acrylic cracks.',
  ...(design.brief.exposure === 'outdoors' ? ['No pressure washer, and no water from below.'] : []),
];

const sparesOf = ({ circuit }: Evaluation): readonly string[] => {
  /** The longest segment of each kind of strip: any other can be cut from it. */
  const longest = new Map<string, (typeof circuit.segments)[number]>();
  for (const segment of circuit.segments)
    if (segment.lengthMm > (longest.get(segment.strip.id)?.lengthMm ?? 0)) longest.set(segment.strip.id, segment);
  return [
    ...[...longest.values()].map(
      ({ strip, lengthMm }) =>
        `${strip.name}, ${Math.ceil(lengthMm / 100) / 10} m from the same reel: later reels differ in colour`,
    ),
    ...(circuit.supply === null ? [] : [`One ${circuit.supply.name}`]),
    ...(circuit.fuseA > 0 ? [`Two fuses, ${circuit.fuseA} A`] : []),
    ...(circuit.drive.controller === null ? [] : [`One ${circuit.drive.controller.name}`]),
  ];
};

const wiringOf = ({ circuit }: Evaluation): readonly string[] => [
  `${circuit.voltageV} V; ${circuit.amps.toFixed(2)} A at full light${circuit.supply === null ? '' : ` from ${circuit.supplyCount > 1 ? `${circuit.supplyCount} × ` : ''}${circuit.supply.name}`}`,
  ...circuit.segments.map(
    ({ label, lengthMm, strip }) => `Segment ${label}: ${Math.round(lengthMm)} mm of ${strip.name}`,
  ),
];

/** What is to be done to a sign once it hangs, and how often (typical for indoors and for the weather). */
export const careDatesOf = ({ design }: Pick<Evaluation, 'design'>): readonly CareDate[] => {
  const outdoors = design.brief.exposure === 'outdoors';
  return [
    { everyMonths: outdoors ? 3 : 6, what: 'Dust and wipe it; look along it in the dark for dim or dark stretches.' },
    {
      everyMonths: 12,
      what: `Try its fixings by hand${outdoors ? ', look at seals and drain holes' : ''}; feel whether the supply runs hotter than it did.`,
    },
    {
      everyMonths: 24,
      what: 'Measure current and voltage again, and write them beside those of the day it was proved.',
    },
  ];
};

/** What a sign’s owner should know: how it opens, how it is cleaned, what to keep for it, what lies where, what to do when. */
export const careSheetOf = (evaluation: Evaluation): CareSheet => ({
  name: evaluation.design.name,
  size: sizeWords(evaluation),
  kg: evaluation.parts.kg,
  closed: closedBy(evaluation),
  cleaning: cleaningOf(evaluation),
  spares: sparesOf(evaluation),
  wiring: wiringOf(evaluation),
  dates: careDatesOf(evaluation),
});
