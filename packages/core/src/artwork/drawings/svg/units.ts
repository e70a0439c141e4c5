/** CSS units in px; SVG’s user unit is a px. */
const pxIn: Readonly<Record<string, number>> = {
  '': 1,
  px: 1,
  pt: 96 / 72,
  pc: 16,
  in: 96,
  mm: 96 / 25.4,
  cm: 96 / 2.54,
  q: 96 / 101.6,
};

/** A length attribute in px; `null` when it is missing, a percentage or no length. */
export const lengthIn = (text: string | undefined): number | null => {
  const match = /^\s*([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)\s*([a-z]*)\s*$/i.exec(text ?? '');
  const unit = match === null ? undefined : pxIn[match[2]!.toLowerCase()];
  return match === null || unit === undefined ? null : Number(match[1]) * unit;
};

/** Whether a length is given in a unit that has a size of its own. */
export const isPhysical = (text: string | undefined): boolean => /(mm|cm|in|pt|pc|q)\s*$/i.test(text ?? '');
