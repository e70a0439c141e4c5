import { describe, expect, it } from '@jest/globals';
import { shippedCatalogue, type Strip } from '../../document/catalogue/index.js';
import { stripsOf, wattsOfRuns, type Segment } from './index.js';

const stripNamed = (id: string): Strip => shippedCatalogue.strips.find((each) => each.id === id)!;
const [usual, other] = [stripNamed('white-24v-60'), stripNamed('rgb-24v-60')];

const segment = (number: number, lengthMm: number, strip?: Strip): Segment => ({
  number,
  from: [0, 0, 0],
  to: [lengthMm, 0, 0],
  path: [
    [0, 0, 0],
    [lengthMm, 0, 0],
  ],
  lengthMm,
  normal: [0, 0, 1],
  on: 'letter',
  leftoverMm: 0,
  ledCount: 1,
  ...(strip === undefined ? {} : { own: { strip, light: null } }),
});
const runsOf = (...segments: readonly Segment[]) => ({
  segments,
  stripMm: segments.reduce((sum, { lengthMm }) => sum + lengthMm, 0),
});

describe('kinds of strip in an assembly', () => {
  it('are the one that it names where no segment has its own, the runs as they are', () => {
    const runs = runsOf(segment(1, 300), segment(2, 500));
    expect(stripsOf(usual, runs)).toEqual([{ strip: usual, runs }]);
    expect(wattsOfRuns(usual, runs)).toBeCloseTo(0.8 * usual.wattsPerM, 12);
    expect(wattsOfRuns(usual, runsOf())).toBe(0);
  });

  it('are told apart with what of each lies there, its own first, whatever comes first along the wires', () => {
    const found = stripsOf(usual, runsOf(segment(1, 200, other), segment(2, 400), segment(3, 100, other)));
    expect(found.map(({ strip }) => strip.id)).toEqual([usual.id, other.id]);
    expect(found.map(({ runs }) => runs.stripMm)).toEqual([400, 300]);
    expect(found[1]!.runs.segments.map(({ number }) => number)).toEqual([1, 3]);
  });

  it('leave the one that is named out where none of it lies', () => {
    expect(stripsOf(usual, runsOf(segment(1, 200, other))).map(({ strip }) => strip.id)).toEqual([other.id]);
  });

  it('draw what each of them draws', () => {
    const runs = runsOf(segment(1, 200, other), segment(2, 400));
    expect(wattsOfRuns(usual, runs)).toBeCloseTo(0.2 * other.wattsPerM + 0.4 * usual.wattsPerM, 12);
  });
});
