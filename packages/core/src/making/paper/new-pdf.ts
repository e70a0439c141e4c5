import type { Font } from 'fontkit';
import { CustomFontSubsetEmbedder, PDFDocument, PDFFont, type PDFPage, type RGB } from 'pdf-lib';
import type { PaperFont, PaperFonts } from './paper-fonts.js';
import { wordsByFont } from './words-by-font.js';

/** What makes fonts, as the maker of documents asks for it. */
type Fontkit = Parameters<typeof CustomFontSubsetEmbedder.for>[0];

/** Where words stand on a page (points from its lower left corner), how large and in which ink. */
export interface WordPlace {
  readonly x: number;
  readonly y: number;
  readonly size: number;
  readonly color: RGB;
  readonly heavy?: boolean;
}

/** Words on the pages of one document: every font that is used goes into it, with the letters that are used. */
export interface PaperType {
  /** How wide words are (points). */
  readonly widthOf: (words: string, size: number, heavy?: boolean) => number;
  readonly draw: (page: PDFPage, words: string, place: WordPlace) => void;
}

/** An empty document. */
export interface NewPdf {
  readonly pdf: PDFDocument;
  readonly type: PaperType;
  readonly save: () => Promise<Uint8Array>;
}

/** Letters of these stand beside each other as they are; all else is joined, stacked or turned round by the font. */
const plainLetters = /^[\u0020-\u052f\u1e00-\u23ff]*$/u;

/**
 * A font as the maker of documents asks for it: the file in pieces, where the maker of fonts gives it whole; and plain letters one
 * by one, which takes a tenth of the time that shaping takes.
 */
const inPieces = (font: Font): Font => {
  const createSubset = () => {
    const subset = font.createSubset() as unknown as { encode: () => Uint8Array };
    const stream = {
      on: (event: string, heard: (bytes?: Uint8Array) => void) => {
        if (event === 'data') heard(subset.encode());
        else if (event === 'end') heard();
        return stream;
      },
    };
    return Object.assign(subset, { encodeStream: () => stream });
  };
  const layout = (words: string) =>
    plainLetters.test(words) ? { glyphs: font.glyphsForString(words) } : font.layout(words);
  return Object.create(font, { createSubset: { value: createSubset }, layout: { value: layout } }) as Font;
};

/** Fonts that were opened before; null where one cannot be put into a file. */
const opened = new WeakMap<PaperFont, Font | null>();

/** A font to be put into files: tried with one letter, since a font that letters are cut from may be none that a file can hold. */
const tried = (font: PaperFont, open: (font: PaperFont) => Font): Font | null => {
  try {
    // Opened by itself: a letter that was looked at once keeps what it was looked at for.
    const subset = open(font).createSubset() as unknown as {
      includeGlyph: (id: number) => number;
      encode: () => Uint8Array;
    };
    subset.includeGlyph(1);
    subset.encode();
    return open(font);
  } catch {
    // Its own words say nothing to a maker; letters that it alone has are told as missing.
    return null;
  }
};

/** Letters are told by their code points, for whoever has other fonts. */
const codePoints = (letters: Iterable<string>): string =>
  [...letters].map((each) => `U+${each.codePointAt(0)!.toString(16).toUpperCase().padStart(4, '0')}`).join(', ');

const noteSize = 6;
const noteAt = 8;

/**
 * A new document that words are written in with the fonts given. It carries no dates: equal designs give equal files. Where a letter
 * is in none of the fonts, a question mark stands, and the last page says which were meant.
 */
export const newPdf = async (title: string, fonts: PaperFonts): Promise<NewPdf> => {
  const { create } = await import('fontkit');
  const pdf = await PDFDocument.create({ updateMetadata: false });
  pdf.setTitle(title);
  pdf.setProducer('Vitrum');
  pdf.setCreator('Vitrum');
  const parsed = (font: PaperFont): Font | null => {
    const known = opened.get(font);
    // Buffer and Uint8Array are the same to it; its types know one of them.
    const found = known === undefined ? tried(font, ({ bytes }) => create(bytes as never) as Font) : known;
    opened.set(font, found);
    return found;
  };
  const usable = [...new Set([...fonts.regular, ...fonts.bold])].flatMap((font) => {
    const own = parsed(font);
    return own === null ? [] : [[font, own] as const];
  });
  const embedders = new Map(
    await Promise.all(
      usable.map(async ([font, own]) => {
        const kit = { create: () => inPieces(own) } as unknown as Fontkit;
        return [font, await CustomFontSubsetEmbedder.for(kit, font.bytes)] as const;
      }),
    ),
  );
  const fit = (each: readonly PaperFont[]): readonly PaperFont[] => each.filter((font) => embedders.has(font));
  const [regular, bold] = [fit(fonts.regular), fit(fonts.bold)];
  const used = new Map<PaperFont, PDFFont>();
  const missing = new Set<string>();
  const inFile = (font: PaperFont): PDFFont => {
    const made = used.get(font) ?? PDFFont.of(pdf.context.nextRef(), pdf, embedders.get(font)!);
    used.set(font, made);
    return made;
  };
  const piecesOf = (words: string, heavy: boolean) => wordsByFont(words, heavy ? bold : regular);
  const type: PaperType = {
    widthOf: (words, size, heavy = false) =>
      piecesOf(words, heavy).pieces.reduce(
        (sum, { font, text }) => sum + inFile(font).widthOfTextAtSize(text, size),
        0,
      ),
    draw: (page, words, { x, y, size, color, heavy = false }) => {
      const { pieces, missing: lacking } = piecesOf(words, heavy);
      lacking.forEach((each) => missing.add(each));
      let at = x;
      for (const { font, text } of pieces) {
        page.drawText(text, { x: at, y, size, font: inFile(font), color });
        at += inFile(font).widthOfTextAtSize(text, size);
      }
    },
  };
  const note = (): void => {
    const page = pdf.getPages().at(-1);
    if (missing.size === 0 || page === undefined) return;
    const words = `A question mark stands for letters that no font here has: ${codePoints(missing)}. Load a font that has them for the sign’s letters.`;
    type.draw(page, words, {
      x: noteAt,
      y: noteAt,
      size: noteSize,
      color: { type: 'RGB' as RGB['type'], red: 0.6, green: 0.1, blue: 0.1 },
    });
  };
  return {
    pdf,
    type,
    save: async () => {
      note();
      for (const font of used.values()) await font.embed();
      return pdf.save();
    },
  };
};
