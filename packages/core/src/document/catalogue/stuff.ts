/** What a sheet is made of, as far as a tool asks. */
export type Stuff = 'film' | 'acrylic' | 'glass' | 'wood' | 'metal' | 'composite' | 'foam' | 'printed';
