import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import type { PowerDesign } from '../../document/design/index.js';
import type { LightRuns, Segment } from '../../light/runs/index.js';
import { changed, dispensary, inAssembly, evaluated, testFonts } from '../../testing/harness.js';
import { groupChains, joinChains } from './chains.js';
import { solveCircuit } from './index.js';
import { inRows, signOfRuns } from '../../testing/rows-of-strip.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const circuitOf = (change: Readonly<Record<string, unknown>>) => evaluated(changed(dispensary, change), fonts).circuit;

describe('chains', () => {
  const lengths = (count: number, lengthMm: number) => Array.from({ length: count }, () => lengthMm);

  it.each([
    [4, 850, 10_000, [4]],
    [8, 850, 5000, [4, 4]],
    [7, 850, 5000, [4, 3]],
    [12, 850, 2600, [3, 3, 3, 3]],
    [2, 9000, 5000, [1, 1]],
    [0, 850, 5000, []],
  ])('%d rows of %d mm, longest %d mm', (count, length, longest, sizes) => {
    const chains = groupChains(lengths(count, length), longest);
    expect(chains.map((chain) => chain.length)).toEqual(sizes);
    expect(chains.flat()).toEqual(Array.from({ length: count }, (_, index) => index));
  });
});

describe('chains made by hand', () => {
  const rows = (count: number) => Array.from({ length: count }, () => 800);

  it('begin where they are told to, and carry on where they are told to', () => {
    const joined = (count: number, longestMm: number, carryOn: number) =>
      joinChains(groupChains(rows(count), longestMm), new Set([carryOn]));
    expect(groupChains(rows(4), 10_000, { begin: new Set([2]) })).toEqual([
      [0, 1],
      [2, 3],
    ]);
    // The whole chain that began there is joined, not its first segment alone.
    expect(joined(4, 1700, 2)).toEqual([[0, 1, 2, 3]]);
    // There is nothing before the first segment to carry on.
    expect(joined(2, 800, 0)).toEqual([[0], [1]]);
  });
});

/** One long run of strip, fed as told. */
const runOf = (metres: number, power: Partial<PowerDesign>, lead = 500) => {
  const strip = shippedCatalogue.strips.find(({ id }) => id === dispensary.assemblies[0]!.light.stripId)!;
  const length = metres * 1000;
  const cuts = Math.round(length / strip.cutPitchMm);
  const lengthMm = cuts * strip.cutPitchMm;
  const perSign = Math.round((lengthMm * strip.ledsPerM) / 1000);
  const pitch = 1000 / strip.ledsPerM;
  const segment: Segment = {
    number: 1,
    from: [0, 0, 0],
    to: [lengthMm, 0, 0],
    path: [
      [0, 0, 0],
      [lengthMm, 0, 0],
    ],
    lengthMm,
    normal: [0, 0, 1],
    on: 'back',
    leftoverMm: 0,
    ledCount: perSign,
  };
  const along = Float64Array.from({ length: perSign }, (_, led) => (led + 0.5) * pitch);
  const zeros = new Float64Array(perSign);
  const runs: LightRuns = {
    segments: [segment],
    leds: { count: perSign, x: along, y: zeros, z: zeros, segment: new Uint32Array(perSign), along },
    stripMm: lengthMm,
    ledPitchMm: pitch,
    rowPitchMm: null,
    throwMm: 50,
  };
  const circuit = solveCircuit(
    { ...dispensary.brief, leadLengthMm: lead },
    { ...dispensary.power, ...power },
    shippedCatalogue,
    signOfRuns(runs, strip),
  );
  return { circuit, strip, lengthMm };
};

describe('a run solved group by group', () => {
  it.each([1, 4, 8])('of %d m falls off as a hyperbolic cosine', (metres) => {
    const { circuit, strip, lengthMm } = runOf(metres, {});
    const perM = strip.wattsPerM / strip.voltageV / (strip.voltageV - strip.forwardV);
    const k = Math.sqrt(strip.trackOhmPerM * perM);
    const length = lengthMm / 1000;
    const [first, last] = [circuit.shares[0]!.fluxShare[0]!, circuit.shares[0]!.fluxShare.at(-1)!];
    // Between the middles of the first and the last group.
    const half = strip.cutPitchMm / 2000;
    const expected = Math.cosh(k * half) / Math.cosh(k * (length - half));
    expect(Math.abs(last / first / expected - 1)).toBeLessThan(0.001);
    expect(circuit.settled).toBe(true);
    expect(circuit.residualA).toBeLessThan(1e-6);
  });

  it('is as bright at its end as at its start when that is fed too, and dimmest in the middle', () => {
    const [plain, fed] = [runOf(8, {}).circuit, runOf(8, { injections: [{ ...inRows(1), end: 'end' }] }).circuit];
    const middle = Math.floor(fed.shares[0]!.fluxShare.length / 2);
    expect(fed.shares[0]!.fluxShare.at(-1)!).toBeGreaterThan(plain.shares[0]!.fluxShare.at(-1)! + 0.05);
    expect(fed.shares[0]!.fluxShare[middle]).toBeLessThan(fed.shares[0]!.fluxShare.at(-1)!);
    expect(fed.chains[0]).toMatchObject({ injections: 1 });
    expect(fed.wires.filter(({ injected }) => injected)).toMatchObject([{ from: 'lead', to: 'segment 1 end' }]);
    // Feeding where it is fed already adds nothing.
    expect(runOf(8, { injections: [{ ...inRows(1), end: 'start' }] }).circuit.wires).toHaveLength(1);
  });

  it('fed backward is the same run turned round', () => {
    const [there, back] = [runOf(6, {}).circuit, runOf(6, { fedBackward: [inRows(1)] }).circuit];
    expect(back.wires[0]).toMatchObject({ to: 'segment 1 end' });
    // Its wire is longer, as far as the strip reaches.
    expect(back.wires[0]!.lengthMm - there.wires[0]!.lengthMm).toBeCloseTo(6000, 6);
    expect(back.shares[0]!.fluxShare[0]!).toBeLessThan(back.shares[0]!.fluxShare.at(-1)!);
  });

  it('gives what it takes: power in is light, resistors and copper', () => {
    const { circuit } = runOf(5, {}, 4000);
    const inGroups = circuit.groups.volts.reduce((sum, volts, group) => sum + volts * circuit.groups.amps[group]!, 0);
    expect(circuit.watts).toBeCloseTo(inGroups + circuit.copperWatts, 3);
    expect(circuit.copperWatts).toBeGreaterThan(0.1);
  });

  it('loses more at clips than at solder, and clips carry less', () => {
    const drop = (joint: PowerDesign['joint']): number => runOf(5, { joint }).circuit.chains[0]!.dropV;
    expect(drop('clip')).toBeGreaterThan(drop('solder') + 0.02);
    const rated = (joint: PowerDesign['joint']): number =>
      runOf(5, { joint }).circuit.carriers.find(({ kind }) => kind === 'joint')!.ratedA;
    expect(rated('clip')).toBeLessThan(rated('solder'));
  });

  it('holds everything that carries current against its rating', () => {
    const { circuit, strip } = runOf(15, {});
    const copper = circuit.carriers.find(({ kind }) => kind === 'strip')!;
    expect(copper.ratedA).toBeCloseTo(((strip.maxRunMm / 1000) * strip.wattsPerM) / strip.voltageV, 9);
    expect(copper.amps).toBeGreaterThan(copper.ratedA);
    expect(new Set(circuit.carriers.map(({ kind }) => kind))).toEqual(
      new Set(['lead', 'wire', 'joint', 'strip', ...(circuit.supply === null ? [] : ['supply'])]),
    );
  });
});

describe('the circuit of a box', () => {
  it('draws less than nominal, and by the same share that its LEDs lose', () => {
    const circuit = circuitOf({});
    expect(circuit.nominalWatts).toBeCloseTo(1.7 * 10, 9);
    const mean =
      circuit.shares[0]!.fluxShare.reduce((sum, share) => sum + share, 0) / circuit.shares[0]!.fluxShare.length;
    expect(circuit.watts / circuit.nominalWatts).toBeCloseTo(mean, 3);
  });

  it('chooses the smallest supply of the right voltage that carries load and headroom', () => {
    expect(circuitOf({}).supply).toMatchObject({ voltageV: 24, watts: 60, weatherproof: true });
    expect(circuitOf({ 'brief.exposure': 'indoors' }).supply).toMatchObject({ watts: 36 });
    expect(circuitOf({ ...inAssembly({ 'light.rowCount': 30 }) }).supply).toBeNull();
    expect(circuitOf({ ...inAssembly({ 'light.rowCount': 20 }), 'power.supplyCount': 3 }).supply).toMatchObject({
      watts: 100,
    });
  });

  it('takes a thicker lead the farther the supply is, and names what it loses', () => {
    const near = circuitOf({ ...inAssembly({ 'light.rowCount': 5 }), 'brief.leadLengthMm': 500 });
    const far = circuitOf({ ...inAssembly({ 'light.rowCount': 5 }), 'brief.leadLengthMm': 12_000 });
    expect(far.lead.areaMm2).toBeGreaterThan(near.lead.areaMm2);
    expect(far.leadDropV).toBeLessThanOrEqual(24 * 0.03 + 1e-9);
  });

  it('is brighter at its dimmest when fed at both ends', () => {
    const dimmest = (feed: string) =>
      Math.min(
        ...circuitOf({ ...inAssembly({ 'light.rowCount': 8 }), 'power.feed': feed }).chains.map(
          ({ dimmestShare }) => dimmestShare,
        ),
      );
    expect(dimmest('both-ends')).toBeGreaterThan(dimmest('one-end'));
  });

  it('fuses above the current, at a usual size', () => {
    const circuit = circuitOf({ ...inAssembly({ 'light.rowCount': 6 }) });
    expect(circuit.fuseA).toBeGreaterThanOrEqual((circuit.nominalWatts / 24) * 1.25);
    expect([0.5, 1, 2, 3, 4, 5, 7.5, 10]).toContain(circuit.fuseA);
  });
});
