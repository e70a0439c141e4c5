import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../artwork/index.js';
import { seededRandom } from '../maths/index.js';
import { changed, dispensary, inBox, look, testFonts } from '../testing/harness.js';
import { groupChains } from './chains.js';
import { bothEndsSiemens, inputSiemens, join, stripPort, through, unchanged, wirePort, type Line } from './ladder.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const circuitOf = (change: Readonly<Record<string, unknown>>) => look(changed(dispensary, change), fonts).circuit;

/** A strip as `count` lumps solved from the far end, independent of the closed form. */
const lumpedShare = ({ ohmPerM, siemensPerM }: Line, lengthM: number, count: number): number => {
  const [r, g] = [(ohmPerM * lengthM) / count, (siemensPerM * lengthM) / count];
  let [u, i] = [1, 0];
  for (let lump = 0; lump < count; lump += 1) {
    i += (u * g) / 2;
    u += i * r;
    i += (u * g) / 2;
  }
  return 1 / u;
};

describe('a strip as a loaded line', () => {
  const line: Line = { ohmPerM: 0.12, siemensPerM: 0.139 };

  it.each([0.5, 2, 5, 12])('drops as 1 / cosh(kL) over %d m fed at one end', (length) => {
    const k = Math.sqrt(line.ohmPerM * line.siemensPerM);
    const port = stripPort(line, length);
    const end = through(port, { u: 1, i: inputSiemens(port) });
    expect(end.u).toBeCloseTo(1 / Math.cosh(k * length), 9);
    expect(end.i).toBeCloseTo(0, 12);
    expect(end.u).toBeCloseTo(lumpedShare(line, length, 20_000), 6);
  });

  it('fed at both ends is dimmest in the middle, as two halves', () => {
    const { start, end } = bothEndsSiemens(stripPort(line, 6));
    expect(start).toBeCloseTo(-end, 9);
    const middle = through(stripPort(line, 3), { u: 1, i: start });
    const half = stripPort(line, 3);
    expect(middle.u).toBeCloseTo(through(half, { u: 1, i: inputSiemens(half) }).u, 9);
    expect(middle.i).toBeCloseTo(0, 9);
  });

  it('in pieces joined by wires of no length is the strip in one piece', () => {
    const random = seededRandom(4);
    const pieces = Array.from({ length: 9 }, () => random());
    const joined = pieces.reduce((port, length) => join(join(port, wirePort(0)), stripPort(line, length)), unchanged);
    const whole = stripPort(
      line,
      pieces.reduce((sum, length) => sum + length, 0),
    );
    joined.forEach((value, index) => expect(value).toBeCloseTo(whole[index]!, 9));
  });

  it('keeps its current: what flows in is what its LEDs take', () => {
    const port = stripPort(line, 4);
    const start = { u: 1, i: inputSiemens(port) };
    const steps = 4000;
    let taken = 0;
    for (let step = 0; step < steps; step += 1)
      taken += (through(stripPort(line, ((step + 0.5) * 4) / steps), start).u * line.siemensPerM * 4) / steps;
    expect(taken).toBeCloseTo(start.i, 6);
  });
});

describe('chains', () => {
  const segments = (count: number, lengthMm: number) =>
    Array.from(
      { length: count },
      (_, index) => ({ number: index + 1, lengthMm }) as Parameters<typeof groupChains>[0][number],
    );

  it.each([
    [4, 850, 10_000, [4]],
    [8, 850, 5000, [4, 4]],
    [7, 850, 5000, [4, 3]],
    [12, 850, 2600, [3, 3, 3, 3]],
    [2, 9000, 5000, [1, 1]],
    [0, 850, 5000, []],
  ])('%d rows of %d mm, longest %d mm', (count, length, longest, sizes) => {
    const chains = groupChains(segments(count, length), longest);
    expect(chains.map((chain) => chain.length)).toEqual(sizes);
    expect(chains.flat()).toEqual(Array.from({ length: count }, (_, index) => index));
  });
});

describe('the circuit of a box', () => {
  it('draws less than nominal, and by the same share that its LEDs lose', () => {
    const circuit = circuitOf({});
    expect(circuit.nominalWatts).toBeCloseTo(1.7 * 10, 9);
    const mean = circuit.fluxShare.reduce((sum, share) => sum + share, 0) / circuit.fluxShare.length;
    expect(circuit.watts / circuit.nominalWatts).toBeCloseTo(mean, 3);
  });

  it('chooses the smallest supply of the right voltage that carries load and headroom', () => {
    expect(circuitOf({}).supply).toMatchObject({ voltageV: 24, watts: 60, weatherproof: true });
    expect(circuitOf({ 'brief.exposure': 'indoors' }).supply).toMatchObject({ watts: 36 });
    expect(circuitOf({ ...inBox({ 'light.rowCount': 30 }) }).supply).toBeNull();
    expect(circuitOf({ ...inBox({ 'light.rowCount': 20 }), 'power.supplyCount': 3 }).supply).toMatchObject({
      watts: 100,
    });
  });

  it('takes a thicker lead the farther the supply is, and names what it loses', () => {
    const near = circuitOf({ ...inBox({ 'light.rowCount': 5 }), 'brief.leadLengthMm': 500 });
    const far = circuitOf({ ...inBox({ 'light.rowCount': 5 }), 'brief.leadLengthMm': 12_000 });
    expect(far.lead.areaMm2).toBeGreaterThan(near.lead.areaMm2);
    expect(far.leadDropV).toBeLessThanOrEqual(24 * 0.03 + 1e-9);
  });

  it('is brighter at its dimmest when fed at both ends', () => {
    const dimmest = (feed: string) =>
      Math.min(
        ...circuitOf({ ...inBox({ 'light.rowCount': 8 }), 'power.feed': feed }).chains.map(
          ({ dimmestShare }) => dimmestShare,
        ),
      );
    expect(dimmest('both-ends')).toBeGreaterThan(dimmest('one-end'));
  });

  it('fuses above the current, at a usual size', () => {
    const circuit = circuitOf({ ...inBox({ 'light.rowCount': 6 }) });
    expect(circuit.fuseA).toBeGreaterThanOrEqual((circuit.nominalWatts / 24) * 1.25);
    expect([0.5, 1, 2, 3, 4, 5, 7.5, 10]).toContain(circuit.fuseA);
  });
});
