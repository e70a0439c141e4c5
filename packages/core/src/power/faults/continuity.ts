import { solveNetwork, type Network } from '../network/index.js';
import type { TestBoard } from './test-board.js';

/** A tip of the meter: a point of the circuit, and which of its conductors (plus 0). */
export interface Tip {
  readonly point: string;
  readonly conductor: number;
}

/** What the meter drives through what it is held to (V): too little for any LED. */
const testV = 0.1;
/** Of the meter itself (Ω); what it shows is without it. */
const meterOhm = 0.01;
/** More than this shows as open (Ω). */
const openOhm = 2e6;

/** Resistance between two tips with the supplies off (Ω); endless when nothing joins them. */
export const ohmsBetween = ({ points }: TestBoard, network: Network, one: Tip, other: Tip): number => {
  const nodeOf = ({ point, conductor }: Tip): number | undefined =>
    points.find(({ id }) => id === point)?.conductors[conductor];
  const [plus, minus] = [nodeOf(one), nodeOf(other)];
  if (plus === undefined || minus === undefined) return Infinity;
  if (plus === minus) return 0;
  const { sourceAmps } = solveNetwork({
    ...network,
    laws: network.laws.map(() => ({ kind: 'resistive', forwardV: 1e6, siemens: 0 }) as const),
    sources: [{ minus, plus, volts: testV, ohm: meterOhm }],
  });
  const ohm = sourceAmps[0]! > 0 ? testV / sourceAmps[0]! - meterOhm : Infinity;
  return ohm > openOhm ? Infinity : Math.max(0, ohm);
};
