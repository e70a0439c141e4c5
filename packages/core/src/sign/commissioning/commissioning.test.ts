import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { demoDesigns } from '../demo/index.js';
import { readDesign } from '../design/index.js';
import { testBoardOf, ohmsBetween, soundNetwork, withFault } from '../../power/faults/index.js';
import { changed, evaluatedCoarsely, segmentOf, signEvaluatedCoarsely, testFonts } from '../../testing/harness.js';
import {
  benchDesign,
  commissionSteps,
  expectedIn,
  judgeReading,
  readingWords,
  segmentTests,
  temperatureAt,
} from './index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const asDesigned = { segments: null, channel: null, level: 1, pixels: null } as const;

describe('putting a sign to work', () => {
  it.each(Object.entries(demoDesigns))(
    '%s: each step expects what the circuit gives, under a name of its own',
    (_, design) => {
      const results = signEvaluatedCoarsely(design, fonts);
      const steps = commissionSteps(results);
      expect(new Set(steps.map(({ key }) => key)).size).toBe(steps.length);
      for (const { expected } of steps) expect(expected.low).toBeLessThan(expected.high);
      const { circuit } = results;
      const middle = (id: string): number => {
        const { low, high } = steps.find((step) => step.key === id)!.expected;
        return (low + high) / 2;
      };
      expect(middle('supply-volts')).toBeCloseTo(circuit.voltageV, 9);
      expect(middle('full-amps')).toBeCloseTo(circuit.amps, 9);
      // Segments at their nominal power add up to the whole.
      const alone = circuit.segments.reduce((sum, { label }) => sum + middle(`segment-${label}`), 0);
      expect(alone * circuit.voltageV).toBeCloseTo(circuit.nominalWatts, 6);
      const stages = steps.map(({ stage }) => ['supply', 'segments', 'colours', 'full', 'soak'].indexOf(stage));
      expect(stages).toEqual([...stages].sort((a, b) => a - b));
    },
  );

  it('colours alone draw more than their part of full white where they drop less, and pixels exactly it', () => {
    const share = (design: typeof demoDesigns.slipway) => {
      const results = evaluatedCoarsely(design, fonts);
      const colours = commissionSteps(results).filter(({ stage }) => stage === 'colours');
      expect(colours.map(({ title }) => title)).toEqual(['Only red', 'Only green', 'Only blue']);
      const sum = colours.reduce((total, { expected }) => total + (expected.low + expected.high) / 2, 0);
      return sum / results.circuit.amps;
    };
    expect(share(demoDesigns.slipway)).toBeGreaterThan(1.03);
    expect(share(demoDesigns['net-loft'])).toBeCloseTo(1, 6);
  });

  it('of a battery takes any voltage between full and its cut-off for right', () => {
    const [supply] = commissionSteps(
      evaluatedCoarsely(changed(demoDesigns.tern, { 'power.source': 'battery' }), fonts),
    );
    expect(supply!.expected).toMatchObject({ low: 12 * 0.92, high: 12 * 1.12 });
    expect([10.5, 11.5, 13.2, 14].map((volts) => judgeReading(supply!, { value: volts }))).toEqual([
      'low',
      'fine',
      'fine',
      'high',
    ]);
  });

  it('judges readings, and says what one that is off points to', () => {
    const steps = commissionSteps(evaluatedCoarsely(demoDesigns.slipway, fonts));
    const step = (key: string) => steps.find((each) => each.key === key)!;
    const words = (id: string, value: number): string =>
      readingWords(step(id), value, judgeReading(step(id), { value }));
    expect(words('supply-volts', 12.1)).toBe('as computed');
    expect(words('supply-volts', -12)).toContain('swapped');
    expect(words('supply-volts', 24)).toContain('wrong supply');
    expect(words('full-amps', 0)).toContain('open wire');
    expect(words('full-amps', 2)).toContain('too little');
    expect(words('full-amps', 9)).toContain('short');
    expect(words('soak-strip', 95)).toContain('hotter');
  });

  it('asks for the luminance of each assembly, where its mean is measured', () => {
    const results = signEvaluatedCoarsely(demoDesigns['lantern-rooms'], fonts);
    const asked = commissionSteps(results).filter(({ id }) => id === 'luminance');
    expect(asked.map(({ at }) => at?.assembly)).toEqual(results.assemblies.map(({ id }) => id));
    asked.forEach((each, place) => {
      const { low, high, unit } = each.expected;
      expect(unit).toBe('cd/m²');
      expect((low + high) / 2).toBeCloseTo(results.assemblies[place]!.glow.evenness.meanCdM2, 6);
      expect(readingWords(each, low / 2, judgeReading(each, { value: low / 2 }))).toContain('dimmer');
      expect(readingWords(each, high * 2, judgeReading(each, { value: high * 2 }))).toContain('brighter');
    });
  });

  it('takes temperatures over that of the room they were read in', () => {
    const steps = commissionSteps(evaluatedCoarsely(demoDesigns.dispensary, fonts));
    const air = steps.find(({ key }) => key === 'soak-air')!;
    const middle = (air.expected.low + air.expected.high) / 2;
    expect(judgeReading(air, { value: middle })).toBe('fine');
    // Twenty degrees cooler all round is twenty degrees cooler inside.
    const cool = air.roomC! - 20;
    expect(judgeReading(air, { value: middle - 20, roomC: cool })).toBe('fine');
    expect(judgeReading(air, { value: middle, roomC: cool })).toBe('high');
    const amps = steps.find(({ key }) => key === 'full-amps')!;
    expect(expectedIn(amps, cool)).toEqual(amps.expected);
  });

  it('keeps readings in the design, and refuses what is no reading', () => {
    const kept = changed(demoDesigns.slipway, {
      proof: { readings: [{ id: 'full-amps', value: 4.2, on: '2026-11-26', roomC: 18 }] },
    });
    const read = readDesign(JSON.parse(JSON.stringify(kept)));
    expect(read.ok && read.value.proof?.readings[0]).toMatchObject({ value: 4.2, roomC: 18 });
    const wrong = readDesign({ ...kept, proof: { readings: [{ id: 'x', value: 'warm', on: 'today' }] } });
    expect(wrong.ok ? [] : wrong.problems.map(({ path }) => path)).toEqual([
      'proof.readings.0.value',
      'proof.readings.0.on',
    ]);
  });
});

describe('tests of single segments', () => {
  it('go through every colour of every segment before it is stuck down, and all of it before it is hung', () => {
    const results = signEvaluatedCoarsely(demoDesigns.slipway, fonts);
    const tests = segmentTests(results);
    const { segments } = results.circuit;
    expect(tests).toHaveLength(4 * segments.length);
    expect(new Set(tests.map(({ key }) => key)).size).toBe(tests.length);
    expect(tests.slice(0, 4).map(({ time, channel }) => [time, channel])).toEqual([
      ['loose', 'red'],
      ['loose', 'green'],
      ['loose', 'blue'],
      ['closed', null],
    ]);
  });

  it('of white strip are one each, and name their assembly where there are several', () => {
    const white = segmentTests(signEvaluatedCoarsely(demoDesigns.dispensary, fonts));
    expect(white.filter(({ time }) => time === 'loose').every(({ channel }) => channel === null)).toBe(true);
    const two = segmentTests(signEvaluatedCoarsely(demoDesigns['lantern-rooms'], fonts));
    expect(new Set(two.map(({ key }) => key)).size).toBe(two.length);
  });

  it('are kept in the design once ticked', () => {
    const design = { ...demoDesigns.slipway, proof: { readings: [], ticked: ['loose 1 red'] } };
    const read = readDesign(JSON.parse(JSON.stringify(design)));
    expect(read.ok && read.value.proof?.ticked).toEqual(['loose 1 red']);
    expect(readDesign({ ...design, proof: { readings: [], ticked: [3] } }).ok).toBe(false);
  });
});

describe('the bench’s controller', () => {
  const base = () => evaluatedCoarsely(demoDesigns.slipway, fonts);
  const shown = (change: object) => {
    const { design, circuit } = base();
    return evaluatedCoarsely(
      benchDesign(design, circuit.channels, circuit.segments, { ...asDesigned, ...change }),
      fonts,
    );
  };

  it('shows one colour alone, the level it is set to, and only what is connected', () => {
    const [whole, green, half, second] = [
      base(),
      shown({ channel: 1 }),
      shown({ level: 0.5 }),
      shown({ segments: [segmentOf(demoDesigns.slipway, 2)] }),
    ];
    expect(green.circuit.channels.map(({ level }) => level)).toEqual([0, 1, 0]);
    expect(green.glow.hue[0]).toBeLessThan(1e-6);
    expect(half.glow.evenness.meanCdM2 / whole.glow.evenness.meanCdM2).toBeCloseTo(0.5, 6);
    const lit = new Set(
      [...second.circuit.shares[0]!.fluxShare].flatMap((share, led) =>
        share > 0 ? [second.runs.leds.segment[led]!] : [],
      ),
    );
    expect([...lit]).toEqual([1]);
    // As designed is the design itself.
    expect(shown({}).glow.evenness.meanCdM2).toBeCloseTo(whole.glow.evenness.meanCdM2, 9);
  });

  it('leaves pixels dark that it is not told of, and that is found', () => {
    const { design, circuit } = evaluatedCoarsely(demoDesigns['net-loft'], fonts);
    const told = evaluatedCoarsely(
      benchDesign(design, circuit.channels, circuit.segments, { ...asDesigned, pixels: 50 }),
      fonts,
    );
    const dark = [...told.circuit.shares[0]!.fluxShare].filter((share) => share === 0).length;
    expect(dark).toBe(circuit.pixels - 50);
    expect(told.findings.find(({ id }) => id === 'pixel-count')!.numbers[0]!.value).toBe(circuit.pixels - 50);
  });
});

describe('a meter for continuity', () => {
  it('reads the copper between two places, nothing across an open wire, and no LED', () => {
    const { circuit, runs, materials } = evaluatedCoarsely(demoDesigns.dispensary, fonts);
    const board = testBoardOf(circuit);
    const sound = soundNetwork(board);
    const plus = (point: string) => ({ point, conductor: 0 });
    const along = ohmsBetween(board, sound, plus('start-1'), plus('end-1'));
    // One rail of the first row; its minus makes no way round.
    const { strip } = materials;
    expect(along).toBeCloseTo(((strip.trackOhmPerM / 2) * runs.segments[0]!.lengthMm) / 1000, 4);
    const open = withFault(board, { kind: 'open', wire: 1, conductor: 'plus' });
    expect(ohmsBetween(board, open, plus('start-1'), plus('start-2'))).toBe(Infinity);
    expect(ohmsBetween(board, sound, plus('start-1'), { point: 'start-1', conductor: 1 })).toBe(Infinity);
    expect(ohmsBetween(board, sound, plus('start-1'), plus('start-1'))).toBe(0);
    const shorted = withFault(board, { kind: 'shorted', wire: 1 });
    expect(ohmsBetween(board, shorted, plus('start-2'), { point: 'start-2', conductor: 1 })).toBeLessThan(0.02);
    expect(ohmsBetween(board, sound, plus('moon'), plus('start-1'))).toBe(Infinity);
  });
});

describe('a thermometer', () => {
  it('begins at the room and settles where the heat stage says', () => {
    const { heat } = evaluatedCoarsely(demoDesigns.slipway, fonts);
    expect(temperatureAt(heat, 'strip', 0, 1)).toEqual({ low: heat.surroundingC, high: heat.surroundingC });
    const late = temperatureAt(heat, 'strip', 600, 1);
    expect(late.low).toBeCloseTo(heat.stripC.low, 6);
    expect(late.high).toBeCloseTo(heat.stripC.high, 6);
    // The board warms sooner than the air, and half the power half as far.
    const rise = (place: 'strip' | 'air', minutes: number, share = 1): number =>
      temperatureAt(heat, place, minutes, share).high - heat.surroundingC;
    expect(rise('strip', 10) / rise('strip', 600)).toBeGreaterThan(rise('air', 10) / rise('air', 600));
    expect(rise('air', 30, 0.5)).toBeCloseTo(rise('air', 30) / 2, 9);
  });
});
