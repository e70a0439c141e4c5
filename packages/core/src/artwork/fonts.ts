/** A font that ships with the program, by the package file that holds it. */
export interface FontListing {
  readonly id: string;
  readonly name: string;
  readonly style: 'grotesque' | 'condensed' | 'slab' | 'script' | 'rounded' | 'stencil';
  /** Inside the npm package, so that every host can find the bytes its own way. */
  readonly file: string;
}

const fontsource = (family: string, weight: number): string =>
  `@fontsource/${family}/files/${family}-latin-${weight}-normal.woff`;

/** Every font a design may name; all under the SIL Open Font License. */
export const fontListings: readonly FontListing[] = [
  { id: 'overpass-bold', name: 'Overpass Bold', style: 'grotesque', file: fontsource('overpass', 700) },
  { id: 'overpass-black', name: 'Overpass Black', style: 'grotesque', file: fontsource('overpass', 900) },
  { id: 'oswald-semibold', name: 'Oswald SemiBold', style: 'condensed', file: fontsource('oswald', 600) },
  { id: 'zilla-slab-bold', name: 'Zilla Slab Bold', style: 'slab', file: fontsource('zilla-slab', 700) },
  { id: 'pacifico', name: 'Pacifico', style: 'script', file: fontsource('pacifico', 400) },
  { id: 'nunito-extrabold', name: 'Nunito ExtraBold', style: 'rounded', file: fontsource('nunito', 800) },
  { id: 'stardos-bold', name: 'Stardos Stencil Bold', style: 'stencil', file: fontsource('stardos-stencil', 700) },
];
