import { inDesign } from '../../judging/results/index.js';
import type { LetterResults } from './results.js';
import { oneChange, type Rule } from '../../judging/findings/index.js';

const openMm = ({ jumpers }: LetterResults): number => jumpers.reduce((sum, jumper) => sum + jumper.openMm, 0);
/** Less wire than this in the open is not worth a word (mm). */
const openNoticedMm = 3;

/** Wires to and between letters are seen on the wall, or must go through it. */
export const jumpersInTheOpen: Rule<LetterResults> = ({ results }) => {
  const open = results.jumpers.filter((jumper) => jumper.openMm > openNoticedMm);
  const [first] = open;
  if (first === undefined) return null;
  const [[ax, ay], [bx, by]] = first.at;
  const [x, y] = [(ax + bx) / 2, (ay + by) / 2];
  return {
    id: 'jumpers-in-the-open',
    severity: 'note',
    step: 'power',
    what: `${open.length} jumper${open.length === 1 ? ' crosses' : 's cross'} open wall`,
    why: `${Math.round(openMm(results))} mm of wire lie where the glow is brightest: take each through the wall with a hole at both ends, or sleeve it in the colour of the wall.`,
    numbers: [
      { label: 'in the open', value: openMm(results), unit: 'mm' },
      { label: 'holes, two each', value: 2 * open.length, unit: 'holes' },
    ],
    where: { view: 'front', rect: { x: x - 15, y: y - 15, width: 30, height: 30 } },
    target: {
      label: 'in the open',
      better: 'lower',
      unit: 'mm',
      read: openMm,
      settled: (tried) => openMm(tried) <= openNoticedMm,
    },
    remedies: [
      oneChange('through-holes', 'Take them behind, by a hole at each end', inDesign.power.crossings, 'holes'),
    ],
  };
};

/** Nearer to the end of its strip than this, a hole found no other place (mm). */
const atEndMm = 1;

/** Holes of wires that lie right at the end of a segment, for want of room beside it. */
const tightHoles = ({ jumpers, runs }: LetterResults): readonly (readonly [number, number])[] => {
  const ends = runs.segments.flatMap(({ from, to }) => [from, to]);
  return jumpers
    .flatMap(({ holes }) => holes)
    .filter(([x, y]) => ends.some(([ex, ey]) => Math.hypot(ex - x, ey - y) < atEndMm));
};

/** In narrow strokes there is no room for a wire’s hole beside the strip: it goes through where the strip ends. */
export const holesTight: Rule<LetterResults> = ({ results }) => {
  const tight = tightHoles(results);
  const [first] = tight;
  if (first === undefined) return null;
  const [x, y] = first;
  return {
    id: 'holes-tight',
    severity: 'note',
    step: 'power',
    what: `${tight.length} hole${tight.length === 1 ? ' has' : 's have'} no room beside the strip`,
    why: 'A wire’s hole of 8 mm with solid material round it and clear of the strip was not found near there; it is drawn where the strip ends. Cut that segment a mark shorter, or drill smaller and take single cores through.',
    numbers: [{ label: 'holes without room', value: tight.length, unit: '' }],
    where: { view: 'front', rect: { x: x - 15, y: y - 15, width: 30, height: 30 } },
    target: {
      label: 'holes without room',
      better: 'lower',
      unit: '',
      read: (tried) => tightHoles(tried).length,
      settled: (tried) => tightHoles(tried).length === 0,
    },
    remedies: [],
  };
};

/** Wires that go from can to can across their edges. */
const overEdges = ({ jumpers }: LetterResults): number =>
  jumpers.filter(({ holes, openMm: open }) => holes.length === 0 && open > openNoticedMm).length;

/** Without a hole near the end of a run, its wire lies over the edge of the can and is pinched when that is closed. */
export const wiresOverEdges: Rule<LetterResults> = ({ results }) => {
  const count = overEdges(results);
  const first = results.jumpers.find(({ holes, openMm: open }) => holes.length === 0 && open > openNoticedMm);
  if (first === undefined) return null;
  const [[x, y]] = first.at;
  return {
    id: 'wire-pinched',
    severity: 'stop',
    step: 'power',
    what: 'A hole is missing at the end of a run',
    why: `${count} wire${count === 1 ? ' lies' : 's lie'} over the edge of a can; closed, it is pinched, and everything after it goes dark.`,
    numbers: [{ label: 'wires over an edge', value: count, unit: '' }],
    where: { view: 'front', rect: { x: x - 15, y: y - 15, width: 30, height: 30 } },
    target: {
      label: 'wires over an edge',
      better: 'lower',
      unit: '',
      read: overEdges,
      settled: (tried) => overEdges(tried) === 0,
    },
    remedies: [
      oneChange(
        'through-holes',
        'Take them through the backs, a hole near each end',
        inDesign.power.crossings,
        'holes',
      ),
    ],
  };
};
