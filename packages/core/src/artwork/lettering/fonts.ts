/** A font that ships with the program, by the package file that holds it. */
export interface FontListing {
  readonly id: string;
  readonly name: string;
  readonly style: 'grotesque' | 'condensed' | 'slab' | 'script' | 'rounded' | 'stencil';
  /** The script it is for, where that is not Latin. */
  readonly writes?: string;
  /** Inside the npm package, so that every host can find the bytes its own way. */
  readonly file: string;
}

const fontsource = (family: string, weight: number, subset = 'latin'): string =>
  `@fontsource/${family}/files/${family}-${subset}-${weight}-normal.woff`;

/** Every font a design may name; all under the SIL Open Font License. */
export const fontListings: readonly FontListing[] = [
  { id: 'overpass-bold', name: 'Overpass Bold', style: 'grotesque', file: fontsource('overpass', 700) },
  { id: 'overpass-black', name: 'Overpass Black', style: 'grotesque', file: fontsource('overpass', 900) },
  { id: 'oswald-semibold', name: 'Oswald SemiBold', style: 'condensed', file: fontsource('oswald', 600) },
  { id: 'zilla-slab-bold', name: 'Zilla Slab Bold', style: 'slab', file: fontsource('zilla-slab', 700) },
  { id: 'pacifico', name: 'Pacifico', style: 'script', file: fontsource('pacifico', 400) },
  { id: 'nunito-extrabold', name: 'Nunito ExtraBold', style: 'rounded', file: fontsource('nunito', 800) },
  { id: 'anton', name: 'Anton', style: 'condensed', file: fontsource('anton', 400) },
  { id: 'bebas-neue', name: 'Bebas Neue', style: 'condensed', file: fontsource('bebas-neue', 400) },
  {
    id: 'barlow-condensed-bold',
    name: 'Barlow Condensed Bold',
    style: 'condensed',
    file: fontsource('barlow-condensed', 700),
  },
  { id: 'alfa-slab-one', name: 'Alfa Slab One', style: 'slab', file: fontsource('alfa-slab-one', 400) },
  { id: 'lobster', name: 'Lobster', style: 'script', file: fontsource('lobster', 400) },
  { id: 'black-ops-one', name: 'Black Ops One', style: 'stencil', file: fontsource('black-ops-one', 400) },
  { id: 'stardos-bold', name: 'Stardos Stencil Bold', style: 'stencil', file: fontsource('stardos-stencil', 700) },
  {
    id: 'noto-arabic-bold',
    name: 'Noto Sans Arabic Bold',
    style: 'grotesque',
    writes: 'Arabic',
    file: fontsource('noto-sans-arabic', 700, 'arabic'),
  },
  {
    id: 'noto-hebrew-bold',
    name: 'Noto Sans Hebrew Bold',
    style: 'grotesque',
    writes: 'Hebrew',
    file: fontsource('noto-sans-hebrew', 700, 'hebrew'),
  },
  {
    id: 'noto-devanagari-bold',
    name: 'Noto Sans Devanagari Bold',
    style: 'grotesque',
    writes: 'Devanagari',
    file: fontsource('noto-sans-devanagari', 700, 'devanagari'),
  },
];
