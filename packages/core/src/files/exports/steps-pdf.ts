import { sum } from '../../base/maths/index.js';
import type { PaperFonts } from '../../making/paper/index.js';
import { newLetter, type Paper } from '../../making/templates/index.js';
import type { Evaluation } from '../../sign/evaluate/index.js';

const placeWords = {
  bench: 'at the bench',
  saw: 'at the saw or the router',
  paint: 'in the paint corner',
  site: 'where it hangs',
} as const;

const hours = (minutes: number): string =>
  minutes >= 90 ? `${Math.round(minutes / 6) / 10} h` : `${Math.max(1, Math.round(minutes))} min`;

const amount = (value: number, unit: string): string =>
  `${Number(value.toFixed(unit === 'piece' ? 0 : 2))} ${unit === 'piece' && value !== 1 ? 'pieces' : unit}`;

/** What is bought for several ends, once. */
const byName = (bought: Evaluation['parts']['bought']): Evaluation['parts']['bought'] =>
  bought
    .filter(({ name, unit }, at) => bought.findIndex((each) => each.name === name && each.unit === unit) === at)
    .map((part) => ({
      ...part,
      quantity: sum(
        bought.filter(({ name, unit }) => name === part.name && unit === part.unit).map(({ quantity }) => quantity),
      ),
    }));

/** A step’s title stands with so much of its text (mm). */
const titleWithTextMm = 24;

/** The build on paper: what to have at hand with everything bought named, then step by step with a box to tick. */
export const stepsPdf = async (
  { design, buildList, parts }: Pick<Evaluation, 'design' | 'buildList' | 'parts'>,
  paper: Paper,
  fonts: PaperFonts,
): Promise<Uint8Array> => {
  const { write, row, rule, gap, keep, save } = await newLetter(`Build: ${design.name}`, paper, fonts);
  const { quantity } = design.brief;
  write(`Build: ${design.name}`, 18, true);
  write(
    `${buildList.steps.length} steps, ${hours(buildList.workMinutes)} of work and ${hours(buildList.waitMinutes)} of waiting for one sign${quantity > 1 ? `; ${quantity} signs are ordered` : ''}.`,
  );
  gap(2);
  write(quantity > 1 ? 'To have at hand, for all signs' : 'To have at hand', 11, true);
  for (const { name, quantity: one, unit } of byName(parts.bought)) row(name, amount(one * quantity, unit));
  gap(3);
  buildList.steps.forEach(({ title, detail, minutes, waitMinutes, caution, work }, at) => {
    keep(titleWithTextMm);
    rule();
    write(`[  ]  ${at + 1}. ${title}`, 11, true);
    const told = [
      hours(minutes),
      ...(waitMinutes > 0 ? [`then wait ${hours(waitMinutes)}`] : []),
      placeWords[work.place],
      ...(work.people > 1 ? [`${work.people} people`] : []),
    ];
    write(told.join(', '), 8);
    if (caution !== null) write(`Caution: ${caution}`, 10, true);
    write(detail);
  });
  return save();
};
