import { channelsOf, type Strip } from '../../document/catalogue/index.js';

/**
 * What a wire carries: all that a segment needs, with data or without; data alone; or one conductor of segments in series,
 * from plus to the first, between both, and from the second back.
 */
export type Carries = 'power' | 'power-and-data' | 'data' | 'plus' | 'link' | 'minus';

/** One conductor of a wire. */
export interface Core {
  readonly name: string;
  /** Of its jacket. */
  readonly colour: string;
  /** Which conductor of a segment it leads to, plus 0 and returns from 1; null for data. */
  readonly conductor: number | null;
}

/** “plus red, minus black”: the conductors of a wire with the colours of their jackets. */
export const coreWords = (cores: readonly Core[]): string =>
  cores.map(({ name, colour }) => `${name} ${colour}`).join(', ');

/** How a wire is drawn: one that feeds a chain, one that feeds it besides, or one of data alone. */
export type WireKind = 'power' | 'injected' | 'data';

export const wireKind = ({ carries, injected }: { readonly carries: Carries; readonly injected: boolean }): WireKind =>
  carries === 'data' ? 'data' : injected ? 'injected' : 'power';

/** Return conductors of a strip: one for each colour, or one in all where pixels switch themselves. */
export const backsOf = (strip: Strip): number => (strip.addressable === true ? 1 : channelsOf(strip).length);

/** Conductors of a segment of strip, plus first; the plus of mixed colours is black so that red is red’s. */
export const conductorsOf = (strip: Strip): readonly Core[] => {
  if (strip.addressable === true || strip.colour === 'white')
    return [
      { name: 'plus', colour: 'red', conductor: 0 },
      { name: 'minus', colour: 'black', conductor: 1 },
    ];
  return [
    { name: 'plus', colour: 'black', conductor: 0 },
    ...channelsOf(strip).map(({ name }, channel): Core => ({ name, colour: name, conductor: 1 + channel })),
  ];
};

const data: Core = { name: 'data', colour: 'green', conductor: null };

/** The cores of a wire, by what it carries. */
export const coresOf = (strip: Strip, carries: Carries): readonly Core[] => {
  const all = conductorsOf(strip);
  switch (carries) {
    case 'power':
      return all;
    case 'power-and-data':
      return [...all, data];
    case 'data':
      return [data];
    case 'plus':
      return [all[0]!];
    case 'link':
      return [{ name: 'link', colour: 'white', conductor: null }];
    case 'minus':
      return [all[1]!];
  }
};

/**
 * The cores of a lead: a return for each output where they are switched before it, else one for all; with data where pixels
 * want it.
 */
export const leadCoresOf = (zones: readonly Strip[], switchedBefore: boolean): readonly Core[] => {
  const pixels = zones.find(({ addressable }) => addressable === true);
  if (pixels !== undefined) return coresOf(pixels, 'power-and-data');
  const widest = zones.reduce((most, strip) => (backsOf(strip) > backsOf(most) ? strip : most));
  const [plus, ...returns] = conductorsOf(widest);
  if (!switchedBefore) return [plus!, { name: 'minus', colour: returns.length > 1 ? 'white' : 'black', conductor: 1 }];
  return [
    plus!,
    ...zones.flatMap((strip, zone) =>
      conductorsOf(strip)
        .slice(1)
        .map((core) => (zones.length > 1 ? { ...core, name: `${core.name} of zone ${zone + 1}` } : core)),
    ),
  ];
};
