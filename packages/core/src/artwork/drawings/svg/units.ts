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

/** Of a longer text no length is read (characters). */
const longest = 60;

/** A length in px, a percentage of `whole`; `null` when it is missing, no length, or a percentage of nothing that is known. */
export const lengthIn = (text: string | undefined, whole: number | null = null): number | null => {
  if (text === undefined || text.length > longest) return null;
  const match = /^\s*([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)\s*([a-z]*|%)\s*$/i.exec(text);
  if (match === null) return null;
  if (match[2] === '%') return whole === null ? null : (Number(match[1]) / 100) * whole;
  const unit = pxIn[match[2]!.toLowerCase()];
  return unit === undefined ? null : Number(match[1]) * unit;
};

/** Whether a length is given in a unit that has a size of its own. */
export const isPhysical = (text: string | undefined): boolean =>
  text !== undefined && text.length <= longest && /(mm|cm|in|pt|pc|q)\s*$/i.test(text);
