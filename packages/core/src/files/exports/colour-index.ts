import { colors } from 'dxf';

const channelsOf = (colour: string): readonly number[] =>
  [1, 3, 5].map((at) => Number.parseInt(colour.slice(at, at + 2), 16));

/** The number of the colour next to `#rrggbb` among the 255 that a drawing file counts. */
export const colourIndex = (colour: string): number => {
  const wanted = channelsOf(colour);
  const far = (index: number): number =>
    wanted.reduce((sum, channel, at) => sum + (channel - colors[index]![at]!) ** 2, 0);
  let best = 1;
  for (let index = 2; index < colors.length; index += 1) if (far(index) < far(best)) best = index;
  return best;
};

/** A colour as one number, red first. */
export const trueColour = (colour: string): number => Number.parseInt(colour.slice(1), 16);
