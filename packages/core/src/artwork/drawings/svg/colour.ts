import { color } from 'd3-color';

/** A colour as it is written in a file (a name, digits, a function), as six hexadecimal digits; nothing where it is none. */
export const colourIn = (written: string): { readonly colour?: string } => {
  const read = color(written.slice(0, 60));
  if (read === null) return {};
  const { r, g, b, opacity } = read.rgb();
  return Number.isFinite(r + g + b) && opacity > 0 ? { colour: read.rgb().clamp().formatHex() } : {};
};

/** Whether a paint shows nothing: none, or a colour that is wholly see-through. */
export const isUnseen = (written: string): boolean => {
  const text = written.trim().toLowerCase();
  return text === 'none' || text === 'transparent' || color(text.slice(0, 60))?.opacity === 0;
};
