import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { channelsOf, shippedCatalogue } from '../../document/catalogue/index.js';
import { mixOf } from '../../light/colour/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import type { Design } from '../../sign/design/index.js';
import { ampsAt } from '../network/index.js';
import { changed, dispensary, evaluatedCoarsely, inAssembly, segmentOf, testFonts } from '../../testing/harness.js';
import { groupLoads, nominalAmps } from './index.js';
import { leadCoresOf } from './cores.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const circuitOf = (design: Design) => evaluatedCoarsely(design, fonts).circuit;
const stripOf = (id: string) => shippedCatalogue.strips.find((strip) => strip.id === id)!;

describe('the channels of a strip', () => {
  it.each(shippedCatalogue.strips.map((strip) => [strip.name, strip] as const))('of %s share its power', (_, strip) => {
    const channels = channelsOf(strip);
    expect(channels.reduce((sum, { wattsPerM }) => sum + wattsPerM, 0)).toBeCloseTo(strip.wattsPerM, 9);
    const mixed = channels.filter(({ name }) => name !== 'white' || strip.colour === 'white');
    expect(mixed.reduce((sum, { lumensPerM }) => sum + lumensPerM, 0)).toBeCloseTo(strip.lumensPerM, 9);
    // Together they take the strip’s power at its voltage.
    const amps = nominalAmps(strip).reduce((sum, own) => sum + own, 0);
    expect((amps * strip.voltageV * 1000) / strip.cutPitchMm).toBeCloseTo(strip.wattsPerM, 6);
  });

  it('take no more current for more voltage when pixels regulate it, and in proportion behind a resistor', () => {
    const [pixel] = groupLoads(stripOf('pixels-5v-60'));
    expect(ampsAt(pixel!.law, 5)).toBe(ampsAt(pixel!.law, 4.2));
    const [red] = groupLoads(stripOf('rgb-12v-60'));
    expect(ampsAt(red!.law, 12)).toBeGreaterThan(1.1 * ampsAt(red!.law, 11));
  });

  it('are mixed in linear light, with what is common to all from a white channel where there is one', () => {
    expect(mixOf({ kind: 'rgb', colour: '#ff0000' }, { colour: 'rgb' })).toEqual([1, 0, 0]);
    expect(mixOf({ kind: 'rgb', colour: '#ffffff' }, { colour: 'rgbw' })).toEqual([0, 0, 0, 1]);
    expect(mixOf({ kind: 'white', cctK: 3000 }, { colour: 'rgbw' })).toEqual([0, 0, 0, 1]);
    expect(mixOf({ kind: 'white', cctK: 3000 }, { colour: 'white' })).toEqual([1]);
  });
});

describe('a circuit of three colours', () => {
  it('has a return for each in every wire, and plus carries what they bring together', () => {
    const { wires, leadCores } = circuitOf(demoDesigns.slipway);
    expect(wires[0]!.cores.map(({ name }) => name)).toEqual(['plus', 'red', 'green', 'blue']);
    expect(leadCores.map(({ name }) => name)).toEqual(['plus', 'red', 'green', 'blue']);
    for (const { coreAmps } of wires) {
      const [plus, ...returns] = coreAmps;
      expect(returns.reduce((sum, amps) => sum + amps, 0)).toBeCloseTo(plus!, 6);
    }
  });

  it('loses least of its red on the way, so that the mix drifts toward it', () => {
    const { groups, chains } = circuitOf(demoDesigns.slipway);
    const [red, green, blue] = groups.shares.map((share) => share[chains[0]!.dimmestGroup]!);
    expect(red).toBeGreaterThan(green! + 0.03);
    // Full white loads both alike.
    expect(green).toBeCloseTo(blue!, 6);
    expect(chains[0]!.colourShift).toBeGreaterThan(0.002);
    // Fed at both ends it drifts less.
    const fed = circuitOf(changed(demoDesigns.slipway, { 'power.feed': 'both-ends' }));
    expect(fed.chains[0]!.colourShift).toBeLessThan(0.5 * chains[0]!.colourShift);
  });

  it('leaves out of its light the colours that are off, and then drops less', () => {
    const red = circuitOf(changed(demoDesigns.slipway, { 'brief.light': { kind: 'rgb', colour: '#ff0000' } }));
    expect(red.channels.map(({ level }) => level)).toEqual([1, 0, 0]);
    expect(Math.max(...red.setGroups.shares[2]!)).toBeLessThan(1e-3);
    expect(Math.min(...red.setGroups.shares[0]!)).toBeGreaterThan(Math.min(...red.groups.shares[0]!) + 0.02);
    expect(red.setWatts).toBeLessThan(0.4 * red.watts);
    // What the supply must carry is full white still.
    expect(red.neededWatts).toBeCloseTo(circuitOf(demoDesigns.slipway).neededWatts, 9);
  });

  it('gives light by its level, in time and not in voltage', () => {
    const [full, half] = [1, 0.5].map((level) => circuitOf(changed(demoDesigns.slipway, { 'power.level': level })));
    half!.shares[0]!.fluxShare.forEach((share, led) =>
      expect(share).toBeCloseTo(full!.shares[0]!.fluxShare[led]! / 2, 9),
    );
    expect(half!.groups.volts).toEqual(full!.groups.volts);
    expect(half!.setWatts).toBeCloseTo(full!.setWatts / 2, 6);
  });
});

describe('zones', () => {
  const twoZones = changed(dispensary, {
    ...inAssembly({ 'light.rowCount': 4 }),
    'power.zones': [{ segments: [1, 2].map((each) => segmentOf(dispensary, each)), level: 0.25 }],
  });

  it('are switched apart: a return each, a chain never in two, light by its own level', () => {
    const circuit = circuitOf(twoZones);
    expect(circuit.leadCores).toHaveLength(3);
    expect(circuit.chains.map(({ zone, segments }) => [zone, segments])).toEqual([
      [1, [0, 1]],
      [2, [2, 3]],
    ]);
    expect(circuit.drive.controller!.channels).toBeGreaterThanOrEqual(2);
    const { runs } = evaluatedCoarsely(twoZones, fonts);
    const ofSegment = (segment: number): number => circuit.shares[0]!.fluxShare[runs.leds.segment.indexOf(segment)]!;
    expect(ofSegment(0) / ofSegment(2)).toBeCloseTo(0.25, 2);
  });

  it('are kept apart even where the maker joins chains across', () =>
    expect(circuitOf(changed(twoZones, { 'power.chainsCarryOn': [segmentOf(dispensary, 3)] })).chains).toHaveLength(2));

  it('have a core each and for each colour in the lead, named', () => {
    expect(
      leadCoresOf([stripOf('rgb-12v-60'), stripOf('rgb-12v-60')], true)
        .map(({ name }) => name)
        .slice(3, 5),
    ).toEqual(['blue of zone 1', 'red of zone 2']);
    expect(leadCoresOf([stripOf('rgb-12v-60'), stripOf('rgb-12v-60')], false)).toHaveLength(2);
  });
});

describe('pixels', () => {
  it('are told from the end of each segment to the start of the next, over a core of its wire', () => {
    const circuit = circuitOf(demoDesigns['net-loft']);
    const told = circuit.wires.filter(({ cores }) => cores.some(({ name }) => name === 'data'));
    expect(told.map(({ from, to }) => `${from} > ${to}`)).toEqual([
      'lead > segment 1 start',
      'segment 1 end > segment 2 start',
      'segment 2 end > segment 3 start',
    ]);
    const { runs } = evaluatedCoarsely(demoDesigns['net-loft'], fonts);
    expect(circuit.pixels).toBe(Math.round((runs.stripMm * 60) / 1000));
    expect(circuit.drive.controller).toMatchObject({ signal: 'data' });
  });

  it('of a chain that is fed backward are told into their starts still, by a wire of their own', () => {
    const turned = circuitOf(changed(demoDesigns['net-loft'], { 'power.fedBackward': [1] }));
    const data = turned.wires.filter(({ carries }) => carries === 'data');
    expect(data.every(({ to }) => to.endsWith('start'))).toBe(true);
    expect(data.length).toBeGreaterThan(0);
    expect(data.every(({ amps, coreAmps }) => amps === 0 && coreAmps.length === 0)).toBe(true);
  });

  it('are fed besides without a second data core', () => {
    const fed = circuitOf(changed(demoDesigns['net-loft'], { 'power.injections': [{ segment: 2, end: 'end' }] }));
    expect(fed.wires.filter(({ injected }) => injected)).toMatchObject([{ carries: 'power' }]);
    expect(fed.wires.filter(({ cores }) => cores.some(({ name }) => name === 'data'))).toHaveLength(3);
  });
});

describe('controllers', () => {
  const slipway = (change: Readonly<Record<string, unknown>> = {}) => circuitOf(changed(demoDesigns.slipway, change));

  it('come where strip or brief ask for them, of the right kind, voltage and number of outputs', () => {
    expect(circuitOf(dispensary).drive).toMatchObject({ wanted: false, controller: null });
    expect(circuitOf(changed(dispensary, { 'brief.control': 'knob' })).drive.controller).toMatchObject({
      kind: 'dimmer',
      remote: 'none',
    });
    expect(circuitOf(changed(dispensary, { 'brief.control': 'remote' })).drive.controller!.remote).not.toBe('none');
    const { controller } = slipway().drive;
    expect(controller!.channels).toBeGreaterThanOrEqual(3);
    expect(controller!.voltagesV).toContain(12);
  });

  it('are as strong as the load asks, and held against their rating when chosen by hand', () => {
    const { drive, carriers } = slipway();
    const outputs = (of: typeof carriers) => of.filter(({ kind }) => kind === 'controller');
    expect(outputs(carriers).every(({ amps, ratedA }) => amps <= ratedA)).toBe(true);
    expect(drive.controller!.channelA).toBeGreaterThanOrEqual(outputs(carriers)[0]!.amps);
    const wider = changed(demoDesigns.slipway, {
      ...inAssembly({ 'light.rowCount': 8 }),
      'power.controllerId': 'rgb-infrared-3',
    });
    expect(outputs(circuitOf(wider).carriers).some(({ amps, ratedA }) => amps > ratedA)).toBe(true);
  });

  it('are repeated by an amplifier beside every further supply', () => {
    const { drive } = slipway({ 'power.supplyCount': 3, 'power.chainsBegin': [2, 3] });
    expect(drive.amplifiers).toBe(2);
    expect(drive.amplifier).toMatchObject({ kind: 'amplifier' });
  });

  it('inside the sign need only two cores in the lead, and lose the same', () => {
    const inside = slipway({ 'power.controllerPlace': 'inside' });
    expect(inside.leadCores.map(({ name }) => name)).toEqual(['plus', 'minus']);
    // One core brings back what three did: the lead loses more.
    expect(inside.groups.volts[0]!).toBeLessThan(slipway().groups.volts[0]!);
  });
});
