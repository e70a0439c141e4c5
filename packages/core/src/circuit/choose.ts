import type { Catalogue, Supply, Wire } from '../catalogue/index.js';
import type { Brief, PowerDesign } from '../design/index.js';
import { copperOhmMm2PerM } from '../maths/index.js';

/** Share of a wire's ampacity that is used; the rest is margin. */
const ampacityUse = 0.8;
/** Largest drop allowed in the lead, as a share of the supply's voltage. */
export const leadDropShare = 0.03;

/** Resistance of a pair (out and back) of this length (Ω), at 20 °C. */
export const pairOhm = (wire: Wire, lengthMm: number): number =>
  (2 * copperOhmMm2PerM * (lengthMm / 1000)) / wire.areaMm2;

/** The thinnest wire that carries `amps` with margin and within `dropV`; the thickest there is when none does. */
export const chooseWire = (
  wires: readonly Wire[],
  chosenId: string,
  amps: number,
  lengthMm: number,
  dropV: number,
): Wire => {
  const byArea = [...wires].sort((a, b) => a.areaMm2 - b.areaMm2);
  const carries = (wire: Wire): boolean =>
    amps <= wire.ampacityA * ampacityUse && amps * pairOhm(wire, lengthMm) <= dropV;
  const found = byArea.find(({ id }) => id === chosenId) ?? byArea.find(carries) ?? byArea[byArea.length - 1];
  if (found === undefined) throw new Error('the catalogue holds no wire');
  return found;
};

/** Supplies that suit the strip's voltage and the place, smallest first. */
export const fittingSupplies = (catalogue: Catalogue, voltageV: number, brief: Brief): readonly Supply[] =>
  catalogue.supplies
    .filter((supply) => supply.voltageV === voltageV && (supply.weatherproof || brief.exposure === 'indoors'))
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
  return fittingSupplies(catalogue, voltageV, brief).find(({ watts }) => watts >= neededWatts) ?? null;
};

const fuseSizes = [0.5, 1, 2, 3, 4, 5, 7.5, 10, 15, 20, 25, 30] as const;

/** The next usual fuse at or above 1.25 × the current. */
export const chooseFuse = (amps: number): number =>
  fuseSizes.find((size) => size >= amps * 1.25) ?? Math.ceil(amps * 1.25);
