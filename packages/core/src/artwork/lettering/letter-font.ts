import type * as Engine from 'harfbuzzjs';

/** A glyph of a line that was shaped: where it stands from the pen, and how far that goes on (font units). */
export interface ShapedGlyph {
  readonly id: number;
  /** The first character that it stands for: those of one cluster are one letter. */
  readonly cluster: number;
  readonly advance: number;
  readonly right: number;
  readonly up: number;
}

/** A step of the outline of a glyph, y up (font units); control points first. */
export interface GlyphStep {
  readonly type: 'M' | 'L' | 'Q' | 'C' | 'Z';
  readonly points: readonly (readonly [x: number, y: number])[];
}

/** How heavy a variable font can be set (100 to 1000), and how heavy it is when nothing is said. */
export interface FontWeights {
  readonly least: number;
  readonly most: number;
  readonly usual: number;
}

/** A font that lines are set in. */
export interface LetterFont {
  readonly unitsPerEm: number;
  /** Height of a capital H (font units). */
  readonly capHeight: number;
  /** Null where it has one weight. */
  readonly weights: FontWeights | null;
  readonly has: (character: string) => boolean;
  /** Shapes a run of one script in one direction; glyphs come from left to right. */
  readonly shape: (run: string, rightToLeft: boolean, ligatures: boolean) => readonly ShapedGlyph[];
  readonly outlineOf: (glyph: number) => readonly GlyphStep[];
  /** The same font as heavy as that, within its bounds. */
  readonly atWeight: (weight: number) => LetterFont;
}

let engine: typeof Engine | null = null;

/** Fetches the engine that shapes lines (HarfBuzz); fonts can be read after it. */
export const startShaping = async (): Promise<void> => {
  engine ??= await import('harfbuzzjs');
};

const stepKinds: ReadonlySet<string> = new Set(['M', 'L', 'Q', 'C', 'Z']);

/** Height of a capital by the font’s own word (OS/2, version 2 and later); 0 where it says none. */
const statedCapHeight = (face: Engine.Face): number => {
  const table = face.referenceTable('OS/2');
  if (table === undefined || table.length < 90) return 0;
  const view = new DataView(table.buffer, table.byteOffset, table.byteLength);
  return view.getUint16(0) >= 2 ? view.getInt16(88) : 0;
};

const fontOf = (
  hb: typeof Engine,
  face: Engine.Face,
  known: ReadonlySet<number>,
  weight: number | null,
): LetterFont => {
  const font = new hb.Font(face);
  const axis = face.getAxisInfos()['wght'];
  const weights = axis === undefined ? null : { least: axis.min, most: axis.max, usual: axis.default };
  if (weight !== null && weights !== null)
    font.setVariations([new hb.Variation('wght', Math.min(weights.most, Math.max(weights.least, weight)))]);
  const outlineOf = (glyph: number): readonly GlyphStep[] =>
    font
      .glyphToJson(glyph)
      .filter(({ type }) => stepKinds.has(type))
      .map(({ type, values }) => ({
        type: type as GlyphStep['type'],
        points: Array.from({ length: values.length >> 1 }, (_, at) => [values[2 * at]!, values[2 * at + 1]!] as const),
      }));
  const shape = (run: string, rightToLeft: boolean, ligatures: boolean): readonly ShapedGlyph[] => {
    const buffer = new hb.Buffer();
    buffer.addText(run);
    buffer.setDirection(rightToLeft ? hb.Direction.RTL : hb.Direction.LTR);
    buffer.guessSegmentProperties();
    // Letters that are spaced out are not drawn together.
    hb.shape(font, buffer, ligatures ? [] : [new hb.Feature('liga', 0), new hb.Feature('clig', 0)]);
    const positions = buffer.getGlyphPositions();
    return buffer.getGlyphInfos().map(({ codepoint, cluster }, at): ShapedGlyph => {
      const { xAdvance, xOffset, yOffset } = positions[at]!;
      return { id: codepoint, cluster, advance: xAdvance, right: xOffset, up: yOffset };
    });
  };
  const highest = (): number => {
    const [glyph] = shape('H', false, false);
    return glyph === undefined || glyph.id === 0
      ? 0
      : outlineOf(glyph.id).reduce((top, { points }) => Math.max(top, ...points.map(([, y]) => y)), 0);
  };
  const stated = statedCapHeight(face);
  const own: LetterFont = {
    unitsPerEm: face.upem,
    // Fonts of scripts without capitals say one all the same, or stand about so high.
    capHeight: stated > 0 ? stated : highest() || 0.7 * face.upem,
    weights,
    has: (character) => known.has(character.codePointAt(0) ?? 0),
    shape,
    outlineOf,
    atWeight: (wanted) => (weights === null ? own : fontOf(hb, face, known, wanted)),
  };
  return own;
};

/** A font from its bytes, unpacked. Throws where they are none, or the engine was not started. */
export const letterFont = (bytes: Uint8Array): LetterFont => {
  if (engine === null) throw new Error('the engine that shapes lines was not started');
  const face = new engine.Face(new engine.Blob(bytes.slice().buffer));
  const known = new Set(face.collectUnicodes());
  if (known.size === 0 || face.upem < 16) throw new RangeError('no font');
  return fontOf(engine, face, known, null);
};
