import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../base/maths/index.js';
import { directionSampler, intensityAt, readIes, type PhotometricFile } from './index.js';

const angles = (step: number, to: number): readonly number[] =>
  Array.from({ length: to / step + 1 }, (_, index) => index * step);

interface FileParts {
  readonly edition?: string;
  readonly tilt?: string;
  readonly type?: number;
  readonly multiplier?: number;
  readonly vertical: readonly number[];
  readonly horizontal: readonly number[];
  readonly candela: (vertical: number, horizontal: number) => number;
}

/** A photometric file as a laboratory would write it. */
const file = ({
  edition = 'IESNA:LM-63-2002',
  tilt = 'NONE',
  type = 1,
  multiplier = 1,
  vertical,
  horizontal,
  candela,
}: FileParts): string =>
  [
    edition,
    '[TEST] made for a test',
    '[MANUFAC] nobody',
    `TILT=${tilt}`,
    `1 -1 ${multiplier} ${vertical.length} ${horizontal.length} ${type} 2 0 0 0`,
    '1 1 4.5',
    vertical.join(' '),
    horizontal.join(' '),
    ...horizontal.map((h) => vertical.map((v) => candela(v, h)).join(' ')),
    '',
  ].join('\r\n');

const cosine = (v: number): number => 100 * Math.max(0, Math.cos((v * Math.PI) / 180));

const good = (text: string): PhotometricFile => {
  const read = readIes(text);
  if (!read.ok) throw new Error(`${read.problems[0]?.path}: ${read.problems[0]?.message}`);
  return read.value;
};
const refusal = (text: string): string => {
  const read = readIes(text);
  return read.ok ? 'was read' : `${read.problems[0]?.path}: ${read.problems[0]?.message}`;
};

describe('a photometric file', () => {
  it.each(['IESNA:LM-63-1995', 'IESNA:LM-63-2002', 'IESNA91'])(
    'of edition %s gives flux, beam and shape',
    (edition) => {
      const read = good(file({ edition, vertical: angles(5, 90), horizontal: [0], candela: cosine }));
      // A cosine of 100 cd emits 100 π lm; straight lines between 5° steps lose 0.06 %.
      expect(read.fluxLm / (100 * Math.PI)).toBeCloseTo(1, 2);
      expect(read.beamAngleDeg).toBeCloseTo(120, 0);
      expect(read.peakCandela).toBe(100);
      expect(read.keywords['MANUFAC']).toBe('nobody');
      expect(intensityAt(read.table, 0)).toBeCloseTo(1 / Math.PI, 3);
      expect(intensityAt(read.table, Math.PI / 3)).toBeCloseTo(0.5 / Math.PI, 3);
      expect(intensityAt(read.table, 1.7)).toBe(0);
    },
  );

  it('heeds the multiplier, a tilt table inside the file, and numbers broken over lines', () => {
    const plain = { vertical: angles(10, 90), horizontal: [0], candela: cosine };
    expect(good(file({ ...plain, multiplier: 2.5 })).fluxLm).toBeCloseTo(2.5 * good(file(plain)).fluxLm, 6);
    expect(good(file({ ...plain, tilt: 'INCLUDE\r\n1\r\n2\r\n0 90\r\n1 0.9' })).fluxLm).toBeCloseTo(
      good(file(plain)).fluxLm,
      6,
    );
    const broken = file(plain).replace(/ (?=\d)/g, '\r\n');
    expect(good(broken).fluxLm).toBeCloseTo(good(file(plain)).fluxLm, 6);
  });

  it('of a quadrant, of a half and of the whole turn agree on a shape with two planes of symmetry', () => {
    const shape = (v: number, h: number): number => cosine(v) * (1 + 0.5 * Math.cos((2 * h * Math.PI) / 180));
    const [quadrant, half, whole] = [90, 180, 360].map((to) =>
      good(file({ vertical: angles(5, 90), horizontal: angles(10, to), candela: shape })),
    );
    for (const turn of [0, 30, 75, 110, 200, 290, 350])
      for (const read of [half!, whole!])
        expect(intensityAt(read.table, 0.6, (turn * Math.PI) / 180)).toBeCloseTo(
          intensityAt(quadrant!.table, 0.6, (turn * Math.PI) / 180),
          6,
        );
  });

  it('measured from 90 to 270 is mirrored at the plane between', () => {
    const shape = (v: number, h: number): number => cosine(v) * (2 + Math.sin((h * Math.PI) / 180));
    const read = good(
      file({
        vertical: angles(5, 90),
        horizontal: angles(10, 180).map((angle) => angle + 90),
        candela: shape,
      }),
    );
    const at = (turn: number): number => intensityAt(read.table, 0.5, (turn * Math.PI) / 180);
    expect(at(30)).toBeCloseTo(at(150), 9);
    expect(at(90) / at(270)).toBeCloseTo(3, 6);
  });

  it('of type B keeps its shape when turned to angles about the axis', () => {
    const shape = (v: number, h: number): number => 100 * Math.cos((h * Math.PI) / 180) * Math.cos((v * Math.PI) / 180);
    const side = angles(5, 180).map((angle) => angle - 90);
    const read = good(file({ type: 2, vertical: side, horizontal: side, candela: shape }));
    // cos H cos V is the cosine of the angle from the axis: a Lambertian source.
    expect(read.photometry).toBe('B');
    expect(read.fluxLm / (100 * Math.PI)).toBeCloseTo(1, 2);
    for (const polar of [0.2, 0.7, 1.2])
      for (const turn of [0, 1, 2.5, 4])
        expect(intensityAt(read.table, polar, turn)).toBeCloseTo(Math.cos(polar) / Math.PI, 2);
  });

  it.each([
    ['another kind of file', 'hello\nworld', 'line 1: begins with “hello”'],
    ['no numbers', 'IESNA:LM-63-2002\n[TEST] x\n', 'there is no TILT= line'],
    ['a tilt in another file', 'IESNA:LM-63-2002\nTILT=lamp.tlt\n', 'line 2: TILT=lamp.tlt points to another file'],
    [
      'a word among the numbers',
      file({ vertical: angles(10, 90), horizontal: [0], candela: cosine }).replace('4.5', 'x'),
      'line 6: “x” stands where the input watts',
    ],
    [
      'cut off',
      file({ vertical: angles(10, 90), horizontal: [0], candela: cosine }).slice(0, -40),
      'the file ends where',
    ],
    ['negative light', file({ vertical: angles(10, 90), horizontal: [0], candela: () => -1 }), 'line 9: candela at 0°'],
    ['no light', file({ vertical: angles(10, 90), horizontal: [0], candela: () => 0 }), 'no light at all'],
    ['angles that fall', file({ vertical: [0, 50, 40, 90], horizontal: [0], candela: cosine }), 'do not ascend'],
    [
      'a part of the turn',
      file({ vertical: angles(10, 90), horizontal: [0, 45], candela: cosine }),
      'horizontal angles run from 0° to 45°',
    ],
    ['nothing ahead', file({ vertical: [90, 180], horizontal: [0], candela: () => 1 }), 'must be in the file'],
    ['type A', file({ type: 3, vertical: angles(10, 90), horizontal: [0], candela: cosine }), 'type A photometry'],
    [
      'a million angles',
      'IESNA:LM-63-2002\nTILT=NONE\n1 -1 1 1000000 1 1 2 0 0 0\n1 1 4',
      'line 3: the number of vertical angles is 1000000',
    ],
    ['too large', 'x'.repeat(1_000_001), 'larger than a megabyte'],
  ])('refused: %s', (_, text, says) => expect(refusal(text)).toContain(says));

  it('1,000 seeded mutations of one crash nothing', () => {
    const whole = file({ vertical: angles(10, 90), horizontal: angles(45, 180), candela: cosine });
    const random = seededRandom(41);
    for (let turn = 0; turn < 1000; turn += 1) {
      const at = Math.floor(random() * whole.length);
      const text =
        whole.slice(0, at) + String.fromCharCode(32 + random() * 95) + whole.slice(at + Math.floor(random() * 9));
      const read = readIes(text);
      if (read.ok) expect(Number.isFinite(read.value.fluxLm)).toBe(true);
      else expect(read.problems[0]?.path).toMatch(/^line \d+$/);
    }
  });
});

describe('directions drawn', () => {
  it.each([
    ['cosine', { kind: 'cosine', exponent: 2.5 } as const],
    [
      'measured',
      good(file({ vertical: angles(5, 90), horizontal: [0], candela: (v) => cosine(v) ** 1.3 * (1 + v / 60) })).table,
    ],
  ])('follow the light: the mean cosine of the %s law', (_, distribution) => {
    const sample = directionSampler(distribution);
    const random = seededRandom(3);
    let drawn = 0;
    for (let ray = 0; ray < 40_000; ray += 1) drawn += sample(random(), random()).ahead / 40_000;
    let [flux, weighted] = [0, 0];
    for (let polar = 0.0005; polar < Math.PI / 2; polar += 0.001) {
      const ring = intensityAt(distribution, polar) * Math.sin(polar);
      flux += ring;
      weighted += ring * Math.cos(polar);
    }
    expect(drawn).toBeCloseTo(weighted / flux, 2);
  });
});
