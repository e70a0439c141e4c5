import type { Strip } from '../../document/catalogue/index.js';

/** What is joined at the start of a segment, as its template says it. */
export const entersAs = ({ addressable, colour }: Strip): string =>
  addressable === true ? 'in + - data' : colour === 'white' ? 'in + -' : 'in + and colours';
