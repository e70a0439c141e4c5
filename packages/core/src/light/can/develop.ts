import { measureLine, offset, ringArea, type Ring } from '../../base/outlines/index.js';

/** A bend of a return: a fold at one place, or a roll over a stretch. */
export interface Bend {
  readonly kind: 'fold' | 'roll';
  /** From the start of the strip; a roll ends at `toMm`, a fold where it begins (mm). */
  readonly atMm: number;
  readonly toMm: number;
  /** Outward turns of the letter are positive (degrees). */
  readonly turnDeg: number;
  /** Of the middle of the metal; of a fold, what the fold leaves (mm). */
  readonly radiusMm: number;
}

/** A return rolled out flat: how long it is, and where it is bent. */
export interface DevelopedReturn {
  readonly lengthMm: number;
  readonly bends: readonly Bend[];
}

/** The way is looked at in steps of this (mm). */
const stepMm = 1;
/** Turning by this much within two thicknesses is a fold (degrees). */
const foldDeg = 20;
/** What turns more slowly than a circle of this radius is straight (mm). */
const straightRadiusMm = 1500;
/** So many steps to each side are taken together to tell how a curve bends. */
const easedSteps = 4;
/** Rolls of less than this are straight (degrees). */
const leastRollDeg = 3;

/**
 * The return of one ring developed flat along the middle of its thickness, where metal neither stretches nor shrinks:
 * the ring `wallMm / 2` inside the letter. Folds stand at corners, rolls over arcs, in order from the start of the ring.
 */
export const developReturn = (ring: Ring, wallMm: number): DevelopedReturn => {
  const outer = ringArea(ring) > 0;
  // A counter runs clockwise: its return lies outside it, in the letter.
  const [middle] = outer
    ? offset([ring], -wallMm / 2)
    : offset([[...ring].reverse()], wallMm / 2).map((grown) => [...grown].reverse());
  const line = measureLine(middle ?? ring, true);
  const count = Math.max(16, Math.ceil(line.lengthMm / stepMm));
  const step = line.lengthMm / count;
  const turns = Array.from({ length: count }, (_, at) => {
    const [a, b] = [line.station((at - 0.5) * step).along, line.station((at + 0.5) * step).along];
    return (Math.atan2(a[0] * b[1] - a[1] * b[0], a[0] * b[0] + a[1] * b[1]) * 180) / Math.PI;
  });
  const bends: Bend[] = [];
  const reach = Math.max(1, Math.round(wallMm / step));
  const folded = new Array<boolean>(count).fill(false);
  for (let at = 0; at < count; at += 1) {
    if (folded[at] || Math.abs(turns[at]!) < foldDeg / 4) continue;
    const near = Array.from({ length: 2 * reach + 1 }, (_, each) => (at + each) % count).filter(
      (each) => !folded[each],
    );
    const turnDeg = near.reduce((sum, each) => sum + turns[each]!, 0);
    if (Math.abs(turnDeg) < foldDeg) continue;
    near.forEach((each) => (folded[each] = true));
    const atMm = (at + reach / 2) * step;
    bends.push({ kind: 'fold', atMm, toMm: atMm, turnDeg, radiusMm: wallMm });
  }
  // Curves are drawn by chords: only over some way together do they tell how tight they are.
  const rest = turns.map((turn, at) => (folded[at] ? 0 : turn));
  const eased = rest.map((_, at) => {
    let sum = 0;
    for (let each = -easedSteps; each <= easedSteps; each += 1) sum += rest[(at + each + count) % count]!;
    return sum / (2 * easedSteps + 1);
  });
  const leastTurn = (step / straightRadiusMm) * (180 / Math.PI);
  for (let at = 0; at < count;) {
    const sign = Math.sign(eased[at]!);
    if (Math.abs(eased[at]!) < leastTurn) {
      at += 1;
      continue;
    }
    let [to, turnDeg] = [at, 0];
    while (to < count && Math.sign(eased[to]!) === sign && Math.abs(eased[to]!) >= leastTurn) turnDeg += eased[to++]!;
    if (Math.abs(turnDeg) >= leastRollDeg) {
      const all = to - at === count;
      const lengthMm = Math.max(step, (to - at - 2 * easedSteps) * step);
      bends.push({
        kind: 'roll',
        atMm: all ? 0 : (at + easedSteps) * step,
        toMm: all ? line.lengthMm : (at + easedSteps) * step + lengthMm,
        turnDeg,
        radiusMm: (all ? line.lengthMm : lengthMm) / ((Math.abs(turnDeg) * Math.PI) / 180),
      });
    }
    at = to;
  }
  return { lengthMm: line.lengthMm, bends: bends.sort((a, b) => a.atMm - b.atMm) };
};
