import { sum } from '../base/maths/index.js';
import { partsCsv } from '../files/exports/parts-csv.js';
import type { SignResults } from '../judging/results/index.js';

const differ = (a: number, b: number): boolean => Math.abs(a - b) > 1e-6 * Math.max(1, Math.abs(a), Math.abs(b));

/** A table as it was written, without quotes: enough to add up its columns. */
const rowsOf = (csv: string): readonly (readonly string[])[] =>
  csv
    .trim()
    .split('\r\n')
    .map((line) => (line.match(/("([^"]|"")*"|[^,]*)(,|$)/g) ?? []).map((cell) => cell.replace(/,$/, '')));

/** What lists, drawings and sums of a sign say against each other; empty where they agree. */
export const contradictions = (evaluation: SignResults): readonly string[] => {
  const { parts, packing, circuit, assemblies, buildList, cost, design } = evaluation;
  const found: string[] = [];
  const claim = (holds: boolean, otherwise: string): void => {
    if (!holds) found.push(otherwise);
  };
  const laidM = sum(assemblies.map(({ runs }) => sum(runs.segments.map(({ lengthMm }) => lengthMm)))) / 1000;
  const strips = new Set(assemblies.map(({ materials }) => materials.strip.id));
  const boughtM = sum(parts.bought.filter(({ id }) => strips.has(id)).map(({ quantity }) => quantity));
  claim(!differ(laidM, boughtM), `${laidM} m of strip are laid, ${boughtM} m bought`);

  const { supply } = circuit;
  claim(supply !== null, 'there is no supply');
  if (supply !== null) {
    const bought = parts.bought.find(({ id }) => id === supply.id)?.quantity ?? 0;
    claim(bought === circuit.supplyCount, `${circuit.supplyCount} supplies are wired, ${bought} bought`);
    claim(supply.voltageV === circuit.voltageV, 'the supply has another voltage than the circuit');
    claim(supply.watts * circuit.supplyCount >= circuit.watts, 'the supplies give less than is drawn');
  }
  for (const { wire, amps, from, to } of circuit.wires)
    claim(amps <= wire.ampacityA * 1.01, `the wire from ${from} to ${to} carries more than it may`);

  const sheetParts = parts.cut.filter(({ stock }) => stock === 'board' || stock === 'face');
  const onSheets = sum(packing.sheets.map(({ placed, tooLarge }) => placed.length + tooLarge.length));
  const packed = Math.min(design.brief.quantity, 20);
  const toPack = sum(sheetParts.map(({ count }) => count));
  claim(onSheets === toPack * packed, `${toPack} parts are cut from sheets, ${onSheets} packed`);
  const rolled = parts.cut.filter(({ stock }) => stock === 'film' || stock === 'return');
  claim(rolled.length > 0 === packing.rolls.length > 0, 'film or return metal is cut, and none is listed');

  const kg =
    sum(parts.cut.map((part) => (part.hangs === false ? 0 : part.kg * part.count))) +
    sum(parts.bought.map((each) => (each.hangs ? each.kg : 0)));
  claim(!differ(kg, parts.kg), `the parts weigh ${kg} kg, the sign ${parts.kg} kg`);
  claim(!differ(sum(cost.lines.map(({ price }) => price)), cost.materials), 'the lines of the bill do not add up');

  for (const { id, title, detail, minutes } of buildList.steps) {
    claim(minutes > 0, `step ${id} takes no time`);
    claim(
      !/undefined|NaN|Infinity|\b0 (holes?|posts?|boards?|segments?|wires?|letters?|clips?|chains?)\b/.test(
        `${title} ${detail}`,
      ),
      `step ${id} says “${title}”`,
    );
  }
  const stripSteps = buildList.steps.filter(({ id }) => /(^|-)strip$/.test(id));
  const told = sum(stripSteps.map(({ title }) => Number(/\d+/.exec(title)?.[0] ?? 1)));
  claim(told === circuit.segments.length, `${circuit.segments.length} segments are laid, the steps say ${told}`);

  const [head, ...lines] = rowsOf(partsCsv(evaluation));
  const column = head?.indexOf('hanging kg') ?? -1;
  const total = lines.find(([id]) => id === 'total');
  const added = sum(lines.filter((line) => line !== total).map((line) => Number(line[column] ?? 0)));
  claim(
    total !== undefined && Math.abs(Number(total[column]) - added) < 0.001 * lines.length,
    `the weights of the parts list add up to ${added}, and it says ${total?.[column]}`,
  );
  return found;
};
