import { mmPerFoot, mmPerInch } from '../maths/index.js';
import { failure, success, type Result } from '../result.js';

export type LengthUnit = 'mm' | 'in';

const mmPerUnit: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: mmPerInch,
  inch: mmPerInch,
  inches: mmPerInch,
  '"': mmPerInch,
  '″': mmPerInch,
  ft: mmPerFoot,
  foot: mmPerFoot,
  feet: mmPerFoot,
  "'": mmPerFoot,
  '′': mmPerFoot,
};

/** A value that is a bare number (`power` 0) or a length in mm (`power` 1). */
interface Quantity {
  readonly value: number;
  readonly power: number;
}

class LengthSyntaxError extends Error {}

/** Fractions of one sign, as they are pasted or typed on some keyboards. */
const signedFractions: Readonly<Record<string, string>> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
};

/** Signs that stand for others: curly and doubled marks of feet and inches, dashes, fractions of one sign. */
const plainly = (text: string): string =>
  text
    .replace(/[‘’]/g, "'")
    .replace(/[“”]|''/g, '"')
    .replace(/[–—−]/g, '-')
    .replace(/[×·]/g, '*')
    .replace(/(\d)?\s*([¼½¾⅛⅜⅝⅞⅓⅔])/g, (_, whole: string | undefined, sign: string) =>
      whole === undefined ? ` ${signedFractions[sign]}` : `${whole} ${signedFractions[sign]}`,
    )
    .trim();

/** A whole number, a dash and a fraction of a rule, close together: `1-3/4`. */
const dashed = /(?<![\d./*+(-]\s*)(?<!\d)(\d+)-(\d+)\/(2|4|8|16|32|64)(?!\d)/g;
const inchMark = /^\s*(?:"|″|in\b|inch|inches)/i;

/**
 * `1-3/4` is how makers write one and three quarters, of inches: so it is read where inches are meant, after feet, before a
 * mark of inches, or where bare numbers are inches. In millimetres it could be a difference as well, and is asked.
 */
const undashed = (text: string, unit: LengthUnit): string =>
  text.replace(dashed, (written: string, whole: string, above: string, below: string, at: number) => {
    if (Number(above) >= Number(below)) return written;
    const [before, after] = [text.slice(0, at), text.slice(at + written.length)];
    const meansInches =
      inchMark.test(after) || (unit === 'in' && !/^\s*(mm|cm|m)\b/i.test(after)) || /['′]\s*$/.test(before);
    if (meansInches) return `${whole} ${above}/${below}`;
    throw new LengthSyntaxError(
      `“${written}” can be read two ways: write “${whole} ${above}/${below} in” for inches, or “${whole} - ${above}/${below}” for what is left`,
    );
  });

/** A comma before three digits may part thousands or decimals; which, only the maker knows. */
const refuseTwoReadings = (text: string): void => {
  const [written, whole, rest] = /(?<![\d.,])([1-9]\d{0,2}),(\d{3})(?![\d.,])/.exec(text) ?? [];
  if (written !== undefined)
    throw new LengthSyntaxError(`“${written}” can be read two ways: write ${whole}${rest} or ${whole}.${rest}`);
};

const units = 'inches|inch|feet|foot|mm|cm|in|ft|m';
const token = new RegExp(
  `\\s*(?:(\\d+)\\s+(\\d+)\\/(\\d+)|(\\d+)\\/(\\d+)(?=\\s*(?:${units}|["″'′])(?![a-z]))|(\\d+(?:[.,]\\d+)?|[.,]\\d+)|([-+*/()])|(${units}|["″'′]))`,
  'iy',
);

type Token =
  | { readonly kind: 'number'; readonly value: number }
  | { readonly kind: 'unit'; readonly mm: number }
  | { readonly kind: 'operator'; readonly sign: string };

const readToken = (match: RegExpExecArray): Token => {
  const [, whole, above, below, over, under, decimal, sign, unit] = match;
  if (whole !== undefined) return { kind: 'number', value: Number(whole) + Number(above) / Number(below) };
  if (over !== undefined) return { kind: 'number', value: Number(over) / Number(under) };
  if (decimal !== undefined) return { kind: 'number', value: Number(decimal.replace(',', '.')) };
  if (sign !== undefined) return { kind: 'operator', sign };
  return { kind: 'unit', mm: mmPerUnit[(unit ?? '').toLowerCase()] ?? Number.NaN };
};

const tokenise = (text: string): readonly Token[] => {
  const tokens: Token[] = [];
  token.lastIndex = 0;
  while (token.lastIndex < text.length) {
    const start = token.lastIndex;
    const match = token.exec(text);
    if (match === null) throw new LengthSyntaxError(`“${text.slice(start).trim()}” is not a length`);
    tokens.push(readToken(match));
  }
  return tokens;
};

/** Recursive descent over + − * / and brackets; a number followed at once by another length adds (3' 6"). */
class LengthParser {
  private at = 0;
  usedUnit = false;

  constructor(
    private readonly tokens: readonly Token[],
    private readonly bareMm: number,
  ) {}

  parse(): Quantity {
    const sum = this.sum();
    if (this.at < this.tokens.length) throw new LengthSyntaxError('there is something left over at the end');
    return sum;
  }

  private peekSign(...signs: readonly string[]): string | null {
    const next = this.tokens[this.at];
    return next?.kind === 'operator' && signs.includes(next.sign) ? next.sign : null;
  }

  private sum(): Quantity {
    let left = this.product();
    for (let sign = this.peekSign('+', '-'); sign !== null; sign = this.peekSign('+', '-')) {
      this.at += 1;
      left = this.add(left, this.product(), sign === '-' ? -1 : 1);
    }
    return left;
  }

  /** A bare number beside a length counts in the user's own unit. */
  private add(left: Quantity, right: Quantity, sign: number): Quantity {
    if (left.power === right.power) return { value: left.value + sign * right.value, power: left.power };
    const inMm = (quantity: Quantity): number => (quantity.power === 0 ? quantity.value * this.bareMm : quantity.value);
    return { value: inMm(left) + sign * inMm(right), power: 1 };
  }

  private product(): Quantity {
    let left = this.signed();
    for (let sign = this.peekSign('*', '/'); sign !== null; sign = this.peekSign('*', '/')) {
      this.at += 1;
      const right = this.signed();
      left =
        sign === '*'
          ? { value: left.value * right.value, power: left.power + right.power }
          : { value: left.value / right.value, power: left.power - right.power };
      if (left.power !== 0 && left.power !== 1) throw new LengthSyntaxError('that multiplies out to no length');
    }
    return left;
  }

  private signed(): Quantity {
    const sign = this.peekSign('-', '+');
    if (sign === null) return this.primary();
    this.at += 1;
    const inner = this.signed();
    return sign === '-' ? { ...inner, value: -inner.value } : inner;
  }

  private primary(): Quantity {
    const next = this.tokens[this.at];
    this.at += 1;
    if (next?.kind === 'operator' && next.sign === '(') {
      const inner = this.sum();
      if (this.peekSign(')') === null) throw new LengthSyntaxError('a bracket is not closed');
      this.at += 1;
      return inner;
    }
    if (next?.kind !== 'number') throw new LengthSyntaxError('a number is missing');
    return this.withUnit(next.value);
  }

  private withUnit(value: number): Quantity {
    const unit = this.tokens[this.at];
    if (unit?.kind !== 'unit') return { value, power: 0 };
    this.at += 1;
    this.usedUnit = true;
    const length = { value: value * unit.mm, power: 1 };
    return this.tokens[this.at]?.kind === 'number' ? this.add(length, this.primary(), 1) : length;
  }
}

/**
 * A length as a maker types it, in mm: `45`, `4.5cm`, `1 3/4`, `1-3/4"`, `1½`, `9/16in`, `5' 6-1/2"`, `10 feet`,
 * `600/2-12`, `(2+1)*20mm`. Bare numbers count in `unit`. Fails with a sentence when the text is not a finite length, or
 * can be read two ways.
 */
export const parseLength = (text: string, unit: LengthUnit): Result<number> => {
  if (text.trim() === '') return failure({ path: '', message: 'type a length, such as 45, 1 3/4 or 600/2-12' });
  if (text.length > 80) return failure({ path: '', message: 'that is too long for a length' });
  try {
    const bareMm = unit === 'in' ? mmPerInch : 1;
    const plain = undashed(plainly(text), unit);
    refuseTwoReadings(plain);
    const parser = new LengthParser(tokenise(plain), bareMm);
    const { value, power } = parser.parse();
    if (!Number.isFinite(value)) return failure({ path: '', message: 'that divides by zero' });
    if (power === 0 && parser.usedUnit)
      return failure({ path: '', message: 'that is a ratio of lengths, not a length' });
    return success(power === 0 ? value * bareMm : value);
  } catch (error) {
    if (error instanceof LengthSyntaxError)
      return failure({ path: '', message: `${error.message}; try 45, 1 3/4 or 600/2-12` });
    throw error;
  }
};
