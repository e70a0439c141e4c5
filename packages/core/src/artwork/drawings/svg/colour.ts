import { clampRgb, converter, formatHex, parse, type Rgb } from 'culori';

const toRgb = converter('rgb');

const read = (written: string): Rgb | undefined => toRgb(parse(written.trim().slice(0, 60)));

/** A colour as it is written in a file (a name, digits, a function), as six hexadecimal digits; nothing where it is none. */
export const colourIn = (written: string): { readonly colour?: string } => {
  const rgb = read(written);
  return rgb === undefined || rgb.alpha === 0 ? {} : { colour: formatHex(clampRgb(rgb)) };
};

/** Whether a paint shows nothing: none, or a colour that is wholly see-through. */
export const isUnseen = (written: string): boolean =>
  written.trim().toLowerCase() === 'none' || read(written)?.alpha === 0;
