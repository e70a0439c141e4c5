import { toByteArray } from 'base64-js';
import { fontPacking, parseFont, startShaping, unpackWoff, type LetterFont } from '../../artwork/lettering/index.js';

/** A font that words on paper are printed in. */
export interface PaperFont {
  readonly id: string;
  /** Unpacked, as it is put into a file. */
  readonly bytes: Uint8Array;
  readonly has: LetterFont['has'];
}

/** Fonts for words on paper, each asked in turn for a letter that those before it have not. */
export interface PaperFonts {
  readonly regular: readonly PaperFont[];
  readonly bold: readonly PaperFont[];
}

type Weight = 400 | 700;

const file = (family: string, subset: string, weight: Weight): string =>
  `@fontsource/${family}/files/${family}-${subset}-${weight}-normal.woff`;

/** Plain letters first; then what else is written in Latin, Cyrillic and Greek; then the scripts that letters ship in. */
const families: readonly (readonly [family: string, subset: string, weights: readonly Weight[]])[] = [
  ['overpass', 'latin', [400, 700]],
  ['overpass', 'latin-ext', [400, 700]],
  ['overpass', 'vietnamese', [400, 700]],
  ['overpass', 'cyrillic', [400, 700]],
  ['overpass', 'cyrillic-ext', [400, 700]],
  ['noto-sans', 'latin', [400, 700]],
  ['noto-sans', 'latin-ext', [400, 700]],
  ['noto-sans', 'greek', [400, 700]],
  ['noto-sans-arabic', 'arabic', [700]],
  ['noto-sans-hebrew', 'hebrew', [700]],
  ['noto-sans-devanagari', 'devanagari', [700]],
];

/** The files of all fonts for paper, inside the packages that hold them. */
export const paperFontFiles: readonly string[] = families.flatMap(([family, subset, weights]) =>
  weights.map((weight) => file(family, subset, weight)),
);

const openFont = (id: string, packed: Uint8Array): PaperFont | null => {
  const font = parseFont(id, packed);
  if (!font.ok) return null;
  return {
    id,
    bytes: fontPacking(packed) === 'woff' ? unpackWoff(packed) : packed,
    has: (character) => font.value.has(character),
  };
};

/** Loads the fonts for paper through `load`, which turns the name of a file of a package into its bytes. */
export const loadPaperFonts = async (load: (file: string) => Promise<ArrayBuffer>): Promise<PaperFonts> => {
  await startShaping();
  const byFile = new Map(
    await Promise.all(
      paperFontFiles.map(async (name) => {
        const font = openFont(name, new Uint8Array(await load(name)));
        if (font === null) throw new Error(`a font that ships with the program is broken: ${name}`);
        return [name, font] as const;
      }),
    ),
  );
  const at = (weight: Weight): readonly PaperFont[] =>
    families.map(([family, subset, weights]) =>
      byFile.get(file(family, subset, weights.includes(weight) ? weight : weights[0]!))!,
    );
  return { regular: at(400), bold: at(700) };
};

interface OwnFont {
  readonly name: string;
  readonly base64: string;
}

/** Every font file that a design carries, wherever in it. */
const ownFontsIn = (value: unknown): readonly OwnFont[] => {
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) =>
    key === 'ownFont' && inner !== null ? [inner as OwnFont] : ownFontsIn(inner),
  );
};

/** The fonts for paper, and after them those that a design brings: words may be written in the letters of their sign. */
export const withOwnFonts = (fonts: PaperFonts, design: unknown): PaperFonts => {
  const own = ownFontsIn(design).flatMap(({ name, base64 }) => {
    try {
      return openFont(name, toByteArray(base64)) ?? [];
    } catch {
      // Its only failure is text that is no base64; what cannot be read prints nothing.
      return [];
    }
  });
  return own.length === 0 ? fonts : { regular: [...fonts.regular, ...own], bold: [...fonts.bold, ...own] };
};
