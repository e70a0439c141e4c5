import overpassLatin400 from '@fontsource/overpass/files/overpass-latin-400-normal.woff?url';
import overpassLatin700 from '@fontsource/overpass/files/overpass-latin-700-normal.woff?url';
import overpassLatinExt400 from '@fontsource/overpass/files/overpass-latin-ext-400-normal.woff?url';
import overpassLatinExt700 from '@fontsource/overpass/files/overpass-latin-ext-700-normal.woff?url';
import notoLatin400 from '@fontsource/noto-sans/files/noto-sans-latin-400-normal.woff?url';
import notoLatin700 from '@fontsource/noto-sans/files/noto-sans-latin-700-normal.woff?url';
import notoLatinExt400 from '@fontsource/noto-sans/files/noto-sans-latin-ext-400-normal.woff?url';
import notoLatinExt700 from '@fontsource/noto-sans/files/noto-sans-latin-ext-700-normal.woff?url';
import overpassVietnamese400 from '@fontsource/overpass/files/overpass-vietnamese-400-normal.woff?url';
import overpassVietnamese700 from '@fontsource/overpass/files/overpass-vietnamese-700-normal.woff?url';
import overpassCyrillic400 from '@fontsource/overpass/files/overpass-cyrillic-400-normal.woff?url';
import overpassCyrillic700 from '@fontsource/overpass/files/overpass-cyrillic-700-normal.woff?url';
import overpassCyrillicExt400 from '@fontsource/overpass/files/overpass-cyrillic-ext-400-normal.woff?url';
import overpassCyrillicExt700 from '@fontsource/overpass/files/overpass-cyrillic-ext-700-normal.woff?url';
import notoGreek400 from '@fontsource/noto-sans/files/noto-sans-greek-400-normal.woff?url';
import notoGreek700 from '@fontsource/noto-sans/files/noto-sans-greek-700-normal.woff?url';
import notoArabicArabic700 from '@fontsource/noto-sans-arabic/files/noto-sans-arabic-arabic-700-normal.woff?url';
import notoHebrewHebrew700 from '@fontsource/noto-sans-hebrew/files/noto-sans-hebrew-hebrew-700-normal.woff?url';
import notoDevanagariDevanagari700 from '@fontsource/noto-sans-devanagari/files/noto-sans-devanagari-devanagari-700-normal.woff?url';
import { loadFrom } from './load-from';

/** Where the build has put each file of the fonts for paper. */
const urls: Readonly<Record<string, string>> = {
  '@fontsource/overpass/files/overpass-latin-400-normal.woff': overpassLatin400,
  '@fontsource/overpass/files/overpass-latin-700-normal.woff': overpassLatin700,
  '@fontsource/overpass/files/overpass-latin-ext-400-normal.woff': overpassLatinExt400,
  '@fontsource/overpass/files/overpass-latin-ext-700-normal.woff': overpassLatinExt700,
  '@fontsource/noto-sans/files/noto-sans-latin-400-normal.woff': notoLatin400,
  '@fontsource/noto-sans/files/noto-sans-latin-700-normal.woff': notoLatin700,
  '@fontsource/noto-sans/files/noto-sans-latin-ext-400-normal.woff': notoLatinExt400,
  '@fontsource/noto-sans/files/noto-sans-latin-ext-700-normal.woff': notoLatinExt700,
  '@fontsource/overpass/files/overpass-vietnamese-400-normal.woff': overpassVietnamese400,
  '@fontsource/overpass/files/overpass-vietnamese-700-normal.woff': overpassVietnamese700,
  '@fontsource/overpass/files/overpass-cyrillic-400-normal.woff': overpassCyrillic400,
  '@fontsource/overpass/files/overpass-cyrillic-700-normal.woff': overpassCyrillic700,
  '@fontsource/overpass/files/overpass-cyrillic-ext-400-normal.woff': overpassCyrillicExt400,
  '@fontsource/overpass/files/overpass-cyrillic-ext-700-normal.woff': overpassCyrillicExt700,
  '@fontsource/noto-sans/files/noto-sans-greek-400-normal.woff': notoGreek400,
  '@fontsource/noto-sans/files/noto-sans-greek-700-normal.woff': notoGreek700,
  '@fontsource/noto-sans-arabic/files/noto-sans-arabic-arabic-700-normal.woff': notoArabicArabic700,
  '@fontsource/noto-sans-hebrew/files/noto-sans-hebrew-hebrew-700-normal.woff': notoHebrewHebrew700,
  '@fontsource/noto-sans-devanagari/files/noto-sans-devanagari-devanagari-700-normal.woff': notoDevanagariDevanagari700,
};

/** Bytes of a font for paper that ships with the app. */
export const loadPaperFile = loadFrom(urls);
