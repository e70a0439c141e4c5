import anton from '@fontsource/anton/files/anton-latin-400-normal.woff?url';
import bebas from '@fontsource/bebas-neue/files/bebas-neue-latin-400-normal.woff?url';
import barlow from '@fontsource/barlow-condensed/files/barlow-condensed-latin-700-normal.woff?url';
import alfaSlab from '@fontsource/alfa-slab-one/files/alfa-slab-one-latin-400-normal.woff?url';
import lobster from '@fontsource/lobster/files/lobster-latin-400-normal.woff?url';
import blackOps from '@fontsource/black-ops-one/files/black-ops-one-latin-400-normal.woff?url';
import nunito from '@fontsource/nunito/files/nunito-latin-800-normal.woff?url';
import oswald from '@fontsource/oswald/files/oswald-latin-600-normal.woff?url';
import overpassBold from '@fontsource/overpass/files/overpass-latin-700-normal.woff?url';
import overpassBlack from '@fontsource/overpass/files/overpass-latin-900-normal.woff?url';
import pacifico from '@fontsource/pacifico/files/pacifico-latin-400-normal.woff?url';
import notoArabic from '@fontsource/noto-sans-arabic/files/noto-sans-arabic-arabic-700-normal.woff?url';
import notoDevanagari from '@fontsource/noto-sans-devanagari/files/noto-sans-devanagari-devanagari-700-normal.woff?url';
import notoHebrew from '@fontsource/noto-sans-hebrew/files/noto-sans-hebrew-hebrew-700-normal.woff?url';
import stardos from '@fontsource/stardos-stencil/files/stardos-stencil-latin-700-normal.woff?url';
import zilla from '@fontsource/zilla-slab/files/zilla-slab-latin-700-normal.woff?url';
import { loadFrom } from './load-from';

/** Where the build has put each font file that the core lists. */
const urls: Readonly<Record<string, string>> = {
  '@fontsource/anton/files/anton-latin-400-normal.woff': anton,
  '@fontsource/bebas-neue/files/bebas-neue-latin-400-normal.woff': bebas,
  '@fontsource/barlow-condensed/files/barlow-condensed-latin-700-normal.woff': barlow,
  '@fontsource/alfa-slab-one/files/alfa-slab-one-latin-400-normal.woff': alfaSlab,
  '@fontsource/lobster/files/lobster-latin-400-normal.woff': lobster,
  '@fontsource/black-ops-one/files/black-ops-one-latin-400-normal.woff': blackOps,
  '@fontsource/nunito/files/nunito-latin-800-normal.woff': nunito,
  '@fontsource/oswald/files/oswald-latin-600-normal.woff': oswald,
  '@fontsource/overpass/files/overpass-latin-700-normal.woff': overpassBold,
  '@fontsource/overpass/files/overpass-latin-900-normal.woff': overpassBlack,
  '@fontsource/pacifico/files/pacifico-latin-400-normal.woff': pacifico,
  '@fontsource/noto-sans-arabic/files/noto-sans-arabic-arabic-700-normal.woff': notoArabic,
  '@fontsource/noto-sans-devanagari/files/noto-sans-devanagari-devanagari-700-normal.woff': notoDevanagari,
  '@fontsource/noto-sans-hebrew/files/noto-sans-hebrew-hebrew-700-normal.woff': notoHebrew,
  '@fontsource/stardos-stencil/files/stardos-stencil-latin-700-normal.woff': stardos,
  '@fontsource/zilla-slab/files/zilla-slab-latin-700-normal.woff': zilla,
};

/** Bytes of a font that ships with the app. */
export const loadFontFile = loadFrom(urls);
