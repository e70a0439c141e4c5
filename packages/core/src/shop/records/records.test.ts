import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue, workPhases } from '../../document/catalogue/index.js';
import { commissionSteps } from '../../sign/commissioning/index.js';
import { createEvaluator } from '../../sign/evaluate/index.js';
import { changed, dispensary, evaluated, testFonts } from '../../testing/harness.js';
import { learnedStrips, learnedFactor, learnedTimes, recordLinesOf, type JobTimes } from './index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const prior = { spread: 0.4, leastOff: 0.15 };

describe('a factor that is learned', () => {
  it('is the posterior of a normal mean: precision-weighted by hand for ratios that agree', () => {
    // Two ratios of 1.3: the data weigh 2 / 0.15², the prior 1 / 0.4².
    const [data, before] = [2 / 0.15 ** 2, 1 / 0.4 ** 2];
    const centre = (data * Math.log(1.3)) / (data + before);
    const sd = 1 / Math.sqrt(data + before);
    const found = learnedFactor([1.3, 1.3], prior)!;
    expect(found.factor).toBeCloseTo(Math.exp(centre), 12);
    expect(Math.log(found.high / found.low)).toBeCloseTo(2 * 1.2816 * sd, 9);
    expect([found.seen, found.count]).toEqual([expect.closeTo(1.3, 12), 2]);
  });

  it('moves a little by one, all the way by many, and is surer the more there are', () => {
    const of = (count: number) =>
      learnedFactor(
        Array.from({ length: count }, () => 1.5),
        prior,
      )!;
    expect(of(1).factor).toBeLessThan(1.46);
    expect(of(100).factor).toBeCloseTo(1.5, 2);
    const widths = [1, 2, 5, 20, 100].map((count) => Math.log(of(count).high / of(count).low));
    expect([...widths].sort((a, b) => b - a)).toEqual(widths);
    // Ratios that scatter say less than ratios that agree.
    const scattered = learnedFactor([0.8, 2.8, 1.5, 1.5], prior)!;
    expect(scattered.high / scattered.low).toBeGreaterThan(of(4).high / of(4).low);
    expect(learnedFactor([], prior)).toBeNull();
  });

  it('holds what is true four times in five', () => {
    let seed = 7;
    const random = (): number => ((seed = (seed * 16807) % 2147483647) - 1) / 2147483646;
    const normal = (): number => Math.sqrt(-2 * Math.log(random())) * Math.cos(2 * Math.PI * random());
    let held = 0;
    const rounds = 2000;
    for (let round = 0; round < rounds; round += 1) {
      const truth = 0.4 * normal();
      const ratios = Array.from({ length: 4 }, () => Math.exp(truth + 0.15 * normal()));
      const { low, high } = learnedFactor(ratios, prior)!;
      if (Math.log(low) <= truth && truth <= Math.log(high)) held += 1;
    }
    expect(held / rounds).toBeGreaterThan(0.77);
    expect(held / rounds).toBeLessThan(0.88);
  });
});

const job = (jobId: string, more: Partial<JobTimes> = {}): JobTimes => ({
  jobId,
  name: jobId,
  steps: [
    { id: 'rip', phase: 'cut' },
    { id: 'face', phase: 'cut' },
    { id: 'solder', phase: 'wire' },
  ],
  typical: { rip: 40, face: 20, solder: 60 },
  done: ['rip', 'face', 'solder'],
  taken: new Map([
    ['rip', 60],
    ['face', 30],
  ]),
  ...more,
});

describe('the shop’s times', () => {
  it('are learned by phase, from steps that are done and were timed', () => {
    const [cut, ...rest] = learnedTimes([job('a'), job('b', { taken: new Map([['rip', 40]]) })]);
    expect(rest).toEqual([]);
    expect(cut!.phase).toBe('cut');
    expect(cut!.jobs.map(({ typicalMinutes, takenMinutes }) => [typicalMinutes, takenMinutes])).toEqual([
      [60, 90],
      [40, 40],
    ]);
    expect(cut!.learned.seen).toBeCloseTo(Math.sqrt(1.5), 9);
    // A step that is half done says nothing of how long it takes.
    expect(learnedTimes([job('a', { done: [] })])).toEqual([]);
    expect(learnedTimes([job('a', { typical: {} })])).toEqual([]);
  });

  it('once accepted make steps, hours and cost longer by that, typical times staying beside them', () => {
    const plain = evaluated(dispensary, fonts);
    const learned = { factor: 1.5, low: 1.3, high: 1.7, jobs: 3, on: '2030-01-07' };
    const catalogue = { ...shippedCatalogue, rates: { ...shippedCatalogue.rates, learnedTimes: { cut: learned } } };
    const own = createEvaluator(catalogue, fonts).evaluate(dispensary);
    if (!own.ok) throw new Error('the job is sound');
    const { steps, workMinutes } = own.value.buildList;
    const cutMinutes = plain.buildList.steps.reduce(
      (sum, { phase, minutes }) => sum + (phase === 'cut' ? minutes : 0),
      0,
    );
    expect(cutMinutes).toBeGreaterThan(10);
    expect(workMinutes).toBeCloseTo(plain.buildList.workMinutes + 0.5 * cutMinutes, 9);
    expect(steps.map(({ typicalMinutes }) => typicalMinutes)).toEqual(
      plain.buildList.steps.map(({ minutes }) => minutes),
    );
    expect(own.value.cost.perSign - plain.cost.perSign).toBeCloseTo(
      ((0.5 * cutMinutes) / 60) * shippedCatalogue.rates.labourPerHour,
      9,
    );
    expect(new Set(steps.map(({ phase }) => phase)).size).toBeLessThanOrEqual(workPhases.length);
  });
});

describe('readings beside what was computed', () => {
  const read = (id: string, value: number, at?: object) => ({ id, value, on: '2030-01-07', ...(at ? { at } : {}) });

  it('name what was measured, and of which strip a current is', () => {
    const plain = evaluated(dispensary, fonts);
    const { amps } = plain.circuit;
    const segment = commissionSteps(plain).find(({ id }) => id === 'segment')!;
    const design = changed(dispensary, {
      proof: { readings: [read('full-amps', amps * 1.1), read('segment', 0.5, segment.at!), read('gone', 5)] },
    });
    const lines = recordLinesOf(evaluated(design, fonts));
    expect(lines.map(({ key }) => key).sort()).toEqual(['full-amps', segment.key].sort());
    const full = lines.find(({ key }) => key === 'full-amps')!;
    expect(full).toMatchObject({ unit: 'A', measured: amps * 1.1, on: '2030-01-07' });
    expect(full.predicted).toBeCloseTo(amps, 9);
    expect(full.stripId).toBe(plain.circuit.segments[0]!.strip.id);
    expect(recordLinesOf(plain)).toEqual([]);
    // The light of an assembly is that of its strip, where that is one, and white.
    const [assembly] = plain.assemblies;
    const lit = read('luminance', 300, { assembly: assembly!.id });
    const [line] = recordLinesOf(evaluated(changed(dispensary, { proof: { readings: [lit] } }), fonts));
    expect(line).toMatchObject({ unit: 'cd/m²', stripId: full.stripId, measured: 300 });
    expect(line!.predicted).toBeCloseTo(assembly!.glow.evenness.meanCdM2, 6);
  });

  it('teach what a strip takes, faults left out', () => {
    const line = (measured: number, stripId: string | null = 's') => ({
      key: 'full-amps',
      title: 'Full light',
      unit: 'A' as const,
      predicted: 2,
      low: 1.8,
      high: 2.2,
      measured,
      on: '2030-01-07',
      roomC: null,
      stripId,
    });
    const jobs = [2.2, 2.3, 2.2].map((measured, at) => ({ jobId: `${at}`, name: `${at}`, lines: [line(measured)] }));
    const [strip, ...rest] = learnedStrips([...jobs, { jobId: 'x', name: 'x', lines: [line(0), line(5, null)] }]);
    expect(rest).toEqual([]);
    expect([strip!.stripId, strip!.figure, strip!.readings.length]).toEqual(['s', 'wattsPerM', 3]);
    expect(strip!.learned.factor).toBeGreaterThan(1.1);
    expect(strip!.learned.factor).toBeLessThan(1.12);
    expect(strip!.learned.low).toBeGreaterThan(1.05);
  });

  it('teach what a strip gives, more slowly: a face stands between', () => {
    const line = (unit: 'A' | 'cd/m²' | 'V') => ({
      key: unit,
      title: unit,
      unit,
      predicted: 400,
      low: 300,
      high: 500,
      measured: 320,
      on: '2030-01-07',
      roomC: null,
      stripId: 's',
    });
    const jobs = ['a', 'b', 'c'].map((jobId) => ({
      jobId,
      name: jobId,
      lines: [line('A'), line('cd/m²'), line('V')],
    }));
    const found = learnedStrips(jobs);
    expect(found.map(({ figure, learned }) => [figure, learned.count])).toEqual([
      ['wattsPerM', 3],
      ['lumensPerM', 3],
    ]);
    const [takes, gives] = found.map(({ learned }) => learned);
    expect(takes!.factor).toBeLessThan(gives!.factor);
    expect(gives!.factor).toBeLessThan(0.88);
    expect(takes!.high - takes!.low).toBeLessThan(gives!.high - gives!.low);
    // A meter that reads nothing reads the room.
    expect(learnedStrips([{ ...jobs[0]!, lines: [{ ...line('cd/m²'), predicted: 0.5, measured: 0.5 }] }])).toEqual([]);
  });
});
