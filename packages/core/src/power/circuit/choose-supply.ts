import type { Catalogue, Supply, Wire } from '../../document/catalogue/index.js';
import type { Brief, PowerDesign } from '../../document/design/index.js';
import { copperOhmMm2PerM } from '../../base/maths/index.js';

/** Share of a wire's ampacity that is used; the rest is margin. */
const ampacityUse = 0.8;
/** Largest drop allowed in the lead, as a share of the supply's voltage. */
export const leadDropShare = 0.03;
/** A supply of no more than this counts as of limited power, by the stricter of the usual rules (W); local ones come first. */
export const limitedPowerWatts = 60;

/** Resistance of a pair (out and back) of this length (Ω), at 20 °C. */
export const pairOhm = (wire: Wire, lengthMm: number): number =>
  (2 * copperOhmMm2PerM * (lengthMm / 1000)) / wire.areaMm2;

const fuseSizes = [0.5, 1, 2, 3, 4, 5, 7.5, 10, 15, 20, 25, 30] as const;

/** The next usual fuse at or above 1.25 × the current. */
export const chooseFuse = (amps: number): number =>
  fuseSizes.find((size) => size >= amps * 1.25) ?? Math.ceil(amps * 1.25);

/** The pairs among wires; leads of more cores take the place of pairs where colours or zones need them. */
export const pairsOf = (wires: readonly Wire[]): Wire[] => wires.filter(({ cores }) => (cores ?? 2) === 2);

/**
 * What so many cores of a gauge are bought as: the cheapest lead with cores enough that are no thinner, or pairs side by
 * side where none is sold.
 */
export const boughtAs = (
  wires: readonly Wire[],
  pair: Wire,
  cores: number,
): { readonly wire: Wire; readonly count: number } => {
  const pairs = { wire: pair, count: Math.max(1, Math.ceil(cores / 2)) };
  if (cores <= 2) return pairs;
  const [lead] = wires
    .filter((wire) => (wire.cores ?? 2) >= cores && wire.areaMm2 >= pair.areaMm2)
    .sort((a, b) => a.price - b.price);
  return lead === undefined ? pairs : { wire: lead, count: 1 };
};

/**
 * The thinnest pair that carries `amps` with margin, is protected by the fuse for them and stays within `dropV`; the
 * thickest there is when none does.
 */
export const chooseWire = (
  wires: readonly Wire[],
  chosenId: string,
  amps: number,
  lengthMm: number,
  dropV: number,
): Wire => {
  const byArea = pairsOf(wires).sort((a, b) => a.areaMm2 - b.areaMm2);
  const carries = (wire: Wire): boolean =>
    amps <= wire.ampacityA * ampacityUse &&
    chooseFuse(amps) <= wire.ampacityA &&
    amps * pairOhm(wire, lengthMm) <= dropV;
  const found = byArea.find(({ id }) => id === chosenId) ?? byArea.find(carries) ?? byArea[byArea.length - 1];
  if (found === undefined) throw new Error('the catalogue holds no wire');
  return found;
};

/** What a supply is fed by; the mains unless it says otherwise. */
export const sourceOf = ({ source }: Pick<Supply, 'source'>): 'mains' | 'usb' | 'battery' => source ?? 'mains';

/** Supplies of a voltage and source that suit the place, smallest first. A battery is taken in from the wet. */
export const fittingSupplies = (
  catalogue: Catalogue,
  voltageV: number,
  brief: Brief,
  source: 'mains' | 'usb' | 'battery' = 'mains',
): readonly Supply[] =>
  catalogue.supplies
    .filter(
      (supply) =>
        supply.voltageV === voltageV &&
        sourceOf(supply) === source &&
        (supply.weatherproof || brief.exposure === 'indoors' || source === 'battery'),
    )
    .sort((a, b) => a.watts - b.watts || a.price - b.price);

/** The supply that was chosen by hand, else the smallest that carries `neededWatts`; null when none does. */
export const chooseSupply = (
  catalogue: Catalogue,
  power: PowerDesign,
  voltageV: number,
  neededWatts: number,
  brief: Brief,
): Supply | null => {
  if (power.supplyId !== 'auto') return catalogue.supplies.find(({ id }) => id === power.supplyId) ?? null;
  const fitting = fittingSupplies(catalogue, voltageV, brief, power.source);
  return fitting.find(({ watts }) => watts >= neededWatts) ?? null;
};

/** One way to feed the same load. */
export interface SupplyChoice {
  readonly supply: Supply;
  readonly count: number;
  readonly price: number;
  /** No supply of it gives more than counts as limited power. */
  readonly limitedPower: boolean;
  /** Share of what it can give that stays unused. */
  readonly spareShare: number;
}

/** The most supplies that a sign is usually given. */
const mostSupplies = 4;

/**
 * For one supply, two, and so on to four, each with a segment of its own at least: the cheapest that carries an even share
 * with headroom, cheapest of all first.
 */
export const supplyChoices = (
  catalogue: Catalogue,
  brief: Brief,
  power: PowerDesign,
  voltageV: number,
  nominalWatts: number,
  segments: number,
): readonly SupplyChoice[] => {
  const fitting = fittingSupplies(catalogue, voltageV, brief, power.source);
  const found = Array.from(
    { length: Math.min(mostSupplies, Math.max(1, segments)) },
    (_, index): SupplyChoice | null => {
      const count = index + 1;
      const needed = (nominalWatts * (1 + power.headroomShare)) / count;
      const enough = fitting.filter(({ watts }) => watts >= needed);
      const [cheapest] = [...enough].sort((a, b) => a.price - b.price || a.watts - b.watts);
      if (cheapest === undefined) return null;
      return {
        supply: cheapest,
        count,
        price: count * cheapest.price,
        limitedPower: cheapest.watts <= limitedPowerWatts,
        spareShare: 1 - nominalWatts / (count * cheapest.watts),
      };
    },
  );
  return found.filter((choice) => choice !== null).sort((a, b) => a.price - b.price || a.count - b.count);
};
