import bidiFactory from 'bidi-js';

const bidi = bidiFactory();

/** Part of a line in one script and one direction. */
export interface TextRun {
  readonly text: string;
  /** Where it begins in the line. */
  readonly from: number;
  readonly rightToLeft: boolean;
  /** Whether its letters hang together, so that nothing is put between them. */
  readonly joined: boolean;
}

const scripts = [
  'Latin',
  'Greek',
  'Cyrillic',
  'Armenian',
  'Hebrew',
  'Arabic',
  'Syriac',
  'Thaana',
  'Nko',
  'Devanagari',
  'Bengali',
  'Gurmukhi',
  'Gujarati',
  'Oriya',
  'Tamil',
  'Telugu',
  'Kannada',
  'Malayalam',
  'Sinhala',
  'Thai',
  'Lao',
  'Tibetan',
  'Myanmar',
  'Georgian',
  'Ethiopic',
  'Khmer',
  'Mongolian',
  'Han',
  'Hiragana',
  'Katakana',
  'Hangul',
] as const;
type Script = (typeof scripts)[number];
const tests: readonly (readonly [Script, RegExp])[] = scripts.map((script) => [
  script,
  new RegExp(`\\p{Script=${script}}`, 'u'),
]);
/** Written in one stroke, or hung from one line. */
const joinedScripts: ReadonlySet<Script> = new Set([
  'Arabic',
  'Syriac',
  'Nko',
  'Mongolian',
  'Devanagari',
  'Bengali',
  'Gurmukhi',
]);

/** The script of a character; null for one that goes with any. */
const scriptOf = (character: string): Script | null => tests.find(([, test]) => test.test(character))?.[0] ?? null;

interface Piece extends TextRun {
  readonly level: number;
}

/** In the order of writing, from the one that goes furthest in (Unicode Bidirectional Algorithm, rule L2). */
const asSeen = (pieces: readonly Piece[]): readonly Piece[] => {
  const order = [...pieces];
  const highest = Math.max(0, ...order.map(({ level }) => level));
  for (let level = highest; level >= 1; level -= 1)
    for (let at = 0; at < order.length; at += 1) {
      if (order[at]!.level < level) continue;
      let end = at;
      while (end < order.length && order[end]!.level >= level) end += 1;
      order.splice(at, end - at, ...order.slice(at, end).reverse());
      at = end;
    }
  return order;
};

/**
 * A line as runs of one script and one direction, in the order in which they are seen from left to right (Unicode Standard
 * Annex 9). Marks and stops go with what stands before them.
 */
export const runsOf = (line: string): readonly TextRun[] => {
  const { levels } = bidi.getEmbeddingLevels(line, 'auto');
  const pieces: Piece[] = [];
  let script: Script | null = null;
  let at = 0;
  for (const character of line) {
    const level = levels[at] ?? 0;
    const own = scriptOf(character);
    const last = pieces.at(-1);
    if (last !== undefined && last.level === level && (own === null || script === null || own === script)) {
      const joined = own === null ? last.joined : joinedScripts.has(own);
      pieces[pieces.length - 1] = { ...last, text: last.text + character, joined };
    } else {
      const joined = own !== null && joinedScripts.has(own);
      pieces.push({ text: character, from: at, rightToLeft: level % 2 === 1, joined, level });
      script = null;
    }
    script = own ?? script;
    at += character.length;
  }
  return asSeen(pieces);
};
