import type { Evaluation } from '../../sign/evaluate/index.js';

/** What a quote says of a design: nothing of how it is made. */
export interface QuoteFacts {
  readonly name: string;
  readonly size: string;
  readonly kg: number;
  readonly quantity: number;
  readonly currency: string;
  /** Of one sign: what is used up, and hours of work. */
  readonly materials: number;
  readonly hours: number;
  /** What another shop asks for one; null where nobody asked. */
  readonly outsideQuote: number | null;
  /** Drawn as it is set (W), so many hours a day. */
  readonly watts: number;
  readonly hoursPerDay: number;
  /** Of the hottest strip, as it is set (°C): kindest and harshest case. */
  readonly stripC: readonly [number, number];
  readonly ratePerHour: number;
  readonly tariffPerKwh: number;
  /** What comes with it, in words. */
  readonly includes: readonly string[];
}

/** What is done at the place: by the steps, so that whatever hangs in a sign is counted. */
const broughtWords = (steps: readonly { readonly id: string; readonly phase: string }[]): string =>
  steps.some(({ id }) => id === 'drill-wall')
    ? 'Fixings for the wall, and hanging it'
    : steps.some(({ phase }) => phase === 'hang')
      ? 'Brought and set in place'
      : 'Brought, ready to be hung';

const includesOf = ({ circuit, buildList, design }: Evaluation): readonly string[] => [
  design.brief.exposure === 'outdoors' ? 'Sign for outdoors' : 'Sign for indoors',
  ...(circuit.supply === null
    ? []
    : [`Supply: ${circuit.supplyCount > 1 ? `${circuit.supplyCount} × ` : ''}${circuit.supply.name}`]),
  ...(circuit.drive.controller === null ? [] : [`${circuit.drive.controller.name}`]),
  `Lead, ${Math.round(design.brief.leadLengthMm / 10) / 100} m`,
  broughtWords(buildList.steps),
  'An hour of light at full power before it leaves the shop',
];

/** What an evaluated design tells a customer and a price. */
export const quoteFactsOf = (
  evaluation: Evaluation,
  rates: { readonly labourPerHour: number; readonly energyPerKwh: number },
): QuoteFacts => {
  const { design, bounds, depthMm, parts, cost, circuit, assemblies } = evaluation;
  const hottest = assemblies.reduce<readonly [number, number]>(
    ([kind, harsh], { heat }) => [Math.max(kind, heat.stripC.low), Math.max(harsh, heat.stripC.high)],
    [0, 0],
  );
  return {
    name: design.name,
    size: `${[bounds.width, bounds.height, depthMm].map((value) => Math.round(value)).join(' × ')} mm`,
    kg: parts.kg,
    quantity: design.brief.quantity,
    currency: cost.currency,
    materials: cost.materials,
    hours: cost.hours,
    outsideQuote: cost.outsideQuote,
    watts: circuit.setWatts,
    hoursPerDay: design.brief.hoursPerDay,
    stripC: hottest,
    ratePerHour: rates.labourPerHour,
    tariffPerKwh: rates.energyPerKwh,
    includes: includesOf(evaluation),
  };
};
