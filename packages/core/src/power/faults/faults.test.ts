import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import type { Design } from '../../sign/design/index.js';
import { createFaultSession } from '../../session/index.js';
import { changed, dispensary, signEvaluatedCoarsely, inAssembly, testFonts } from '../../testing/harness.js';
import {
  benchOf,
  testBoardOf,
  diagnosisOf,
  faultsOf,
  faultWords,
  hiddenFault,
  judge,
  gradeOf,
  appearanceOf,
  nextProbe,
  parFor,
  probeWords,
  readingOf,
  scoreOf,
  showAlike,
  soundNetwork,
  suspectsLeft,
  withFault,
  type TestBoard,
  type Fault,
  type Symptoms,
} from './index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const boardFor = (design: Design): TestBoard => {
  return testBoardOf(signEvaluatedCoarsely(design, fonts).circuit);
};

/** Two rows in one chain. */
const twoRows = (): TestBoard => boardFor(dispensary);
const looks = (board: TestBoard, fault: Fault) => {
  const [bench, sound] = [benchOf(board, withFault(board, fault)), benchOf(board, soundNetwork(board))];
  return board.segments.map((_, segment) => appearanceOf(bench, sound, segment));
};
const volts = (board: TestBoard, fault: Fault, point: string, kind: 'volts' | 'plus' | 'minus' = 'volts'): number =>
  readingOf(benchOf(board, withFault(board, fault)), { kind, point });

describe('a circuit with a fault', () => {
  it('is dark behind an open wire, which has plus up to the break and no minus beyond', () => {
    const board = twoRows();
    const open: Fault = { kind: 'open', wire: 1, conductor: 'minus' };
    expect(looks(board, open)).toEqual(['lit', 'dark']);
    expect(volts(board, open, 'start-2')).toBeLessThan(18);
    expect(volts(board, open, 'start-2', 'plus')).toBeGreaterThan(23);
    expect(volts(board, open, 'start-2', 'minus')).toBeLessThan(18);
    expect(looks(board, { kind: 'open', wire: -1, conductor: 'plus' })).toEqual(['dark', 'dark']);
  });

  it('is dark and reads backward behind swapped wires', () => {
    const board = twoRows();
    expect(looks(board, { kind: 'swapped', wire: 1 })).toEqual(['lit', 'dark']);
    expect(volts(board, { kind: 'swapped', wire: 1 }, 'end-2')).toBeLessThan(-20);
  });

  it('is half dark where a track is broken, and has one dark place where a group is dead', () => {
    const board = twoRows();
    expect(looks(board, { kind: 'broken-strip', segment: 1, conductor: 'plus' })).toEqual(['lit', 'partly']);
    expect(looks(board, { kind: 'broken-strip', segment: 0, conductor: 'plus' })).toEqual(['partly', 'dark']);
    expect(looks(board, { kind: 'dead-group', segment: 0 })).toEqual(['partly', 'lit']);
  });

  it('is dim all over when its supply is weak or a joint of the lead is loose, which volts tell apart', () => {
    const board = twoRows();
    const [weak, loose]: readonly [Fault, Fault] = [
      { kind: 'weak-supply', supply: 0 },
      { kind: 'loose', wire: -1 },
    ];
    expect(looks(board, weak)).toEqual(['dim', 'dim']);
    expect(volts(board, weak, 'supply-1')).toBeLessThan(21);
    expect(volts(board, loose, 'supply-1')).toBeGreaterThan(23.5);
    expect(volts(board, loose, 'entry-1')).toBeLessThan(23);
  });

  it('draws all that its supply gives when it is shorted, and pulls that down', () => {
    const board = twoRows();
    const bench = benchOf(board, withFault(board, { kind: 'shorted', wire: 0 }));
    expect(readingOf(bench, { kind: 'amps', wire: -1 })).toBeGreaterThan(3);
    expect(readingOf(bench, { kind: 'volts', point: 'supply-1' })).toBeLessThan(3);
    expect(looks(board, { kind: 'shorted', wire: 0 })).toEqual(['dark', 'dark']);
  });
});

describe('readings', () => {
  it('are judged against what they should be, small ones against the whole', () => {
    expect([judge(24, 24, 24), judge(20, 24, 24), judge(0.1, 24, 24), judge(-12, 24, 24), judge(30, 24, 24)]).toEqual([
      'right',
      'low',
      'none',
      'reversed',
      'high',
    ]);
    // A tiny current where a tiny one belongs is right.
    expect(judge(0.011, 0.01, 5)).toBe('right');
  });

  it('of a sound circuit are all right', () => {
    const board = twoRows();
    const diagnosis = diagnosisOf(board);
    for (const probe of diagnosis.probes) {
      expect(gradeOf(diagnosis.sound, diagnosis.sound, probe)).toBe('right');
      expect(probeWords(board, probe)).toMatch(/^(volts|amperes|the colour)/);
    }
  });
});

describe('a circuit of several colours with a fault', () => {
  const board = (): TestBoard => boardFor(changed(demoDesigns.slipway, { 'power.fedForward': [1] }));

  it('is of a wrong colour behind an open return, which no segment before shows', () => {
    const wire = 2;
    expect(looks(board(), { kind: 'open', wire, conductor: 'blue' })).toEqual([
      'lit',
      'lit',
      'wrong-colour',
      'wrong-colour',
    ]);
  });

  it('shows crossed colours only when they are lit one by one', () => {
    const laid = board();
    const fault: Fault = { kind: 'crossed', wire: 1, cores: ['red', 'green'] };
    const [bench, sound] = [benchOf(laid, withFault(laid, fault), fault), benchOf(laid, soundNetwork(laid))];
    expect(laid.segments.map((_, segment) => appearanceOf(bench, sound, segment))).not.toContain('wrong-colour');
    const seen = (segment: number, channel: number): number => readingOf(bench, { kind: 'colour', segment, channel });
    expect([seen(0, 0), seen(1, 0), seen(1, 1), seen(3, 0), seen(1, 2)]).toEqual([0, 1, 0, 1, 2]);
    expect(gradeOf(bench, sound, { kind: 'colour', segment: 1, channel: 0 })).toBe('wrong');
    expect(gradeOf(bench, sound, { kind: 'colour', segment: 0, channel: 0 })).toBe('right');
  });

  it('has one colour dark everywhere when an output does not switch', () => {
    const laid = board();
    const fault: Fault = { kind: 'dead-output', supply: 0, output: 1 };
    expect(new Set(looks(laid, fault))).toEqual(new Set(['wrong-colour']));
    const bench = benchOf(laid, withFault(laid, fault), fault);
    expect(readingOf(bench, { kind: 'colour', segment: 2, channel: 1 })).toBe(-1);
  });

  it('flickers behind a loose joint', () => {
    const laid = board();
    const fault: Fault = { kind: 'loose', wire: 2 };
    const [bench, sound] = [benchOf(laid, withFault(laid, fault), fault), benchOf(laid, soundNetwork(laid))];
    expect(laid.segments.map((_, segment) => appearanceOf(bench, sound, segment)).slice(2)).toEqual([
      'flickering',
      'flickering',
    ]);
  });
});

describe('pixels with a fault in their data', () => {
  it('are dark from where it stops, with all their volts', () => {
    const board = boardFor(demoDesigns['net-loft']);
    const into = board.circuit.wires.findIndex(
      ({ to, cores }) => to === 'segment 2 start' && cores.some(({ name }) => name === 'data'),
    );
    expect(looks(board, { kind: 'data-open', wire: into })).toEqual(['lit', 'dark', 'dark']);
    expect(looks(board, { kind: 'wrong-direction', segment: 2 })).toEqual(['lit', 'lit', 'dark']);
    expect(volts(board, { kind: 'data-open', wire: into }, 'start-2')).toBeGreaterThan(4.4);
  });
});

/** Circuits to find faults in: the demo’s, as they are seeded, and one with two supplies. */
const circuits: readonly (readonly [name: string, design: () => Design])[] = [
  ...Object.values(demoDesigns).map((design) => [design.name, (): Design => design] as const),
  [
    'two supplies',
    () =>
      changed(dispensary, {
        ...inAssembly({ 'light.rowCount': 4 }),
        'power.chainsBegin': [3],
        'power.supplyCount': 2,
      }),
  ],
  [
    'pairs in series',
    () => changed(dispensary, { ...inAssembly({ 'light.rowCount': 4 }), 'power.arrangement': 'series-pairs' }),
  ],
  [
    'two zones with a dimmer each',
    () =>
      changed(dispensary, {
        ...inAssembly({ 'light.rowCount': 4 }),
        'power.zones': [{ segments: [1, 2], level: 0.5 }],
      }),
  ],
  ['two chains', () => changed(dispensary, { ...inAssembly({ 'light.rowCount': 4 }), 'power.chainsBegin': [3] })],
];

describe('finding the fault', () => {
  it.each(circuits)(
    'of %s takes no more than log₂ of the suspects and two more measurements on average',
    (_, design) => {
      const diagnosis = diagnosisOf(boardFor(design()));
      const { suspects } = diagnosis;
      let measured = 0;
      for (const hidden of suspects) {
        let signs: Symptoms = { looks: hidden.looks, readings: [] };
        for (;;) {
          const { left, unexplained } = suspectsLeft(diagnosis, signs);
          expect(unexplained).toBe(0);
          expect(left).toContain(hidden);
          const next = left.length > 1 ? nextProbe(diagnosis, left) : null;
          if (next === null) {
            // What is left shows alike wherever one measures.
            expect(left.every((suspect) => showAlike(suspect, hidden))).toBe(true);
            break;
          }
          measured += 1;
          const judged = hidden.judged[diagnosis.probes.indexOf(next.probe)]!;
          signs = { ...signs, readings: [...signs.readings, { probe: next.probe, judged }] };
        }
      }
      expect(measured / suspects.length).toBeLessThanOrEqual(Math.ceil(Math.log2(suspects.length)) + 2);
      // Few faults hide behind one another; among many short segments that are fed at both ends more do.
      const alone = suspects.filter((one) => suspects.every((other) => one === other || !showAlike(one, other)));
      expect(alone.length).toBeGreaterThan((suspects.length > 150 ? 0.4 : 0.6) * suspects.length);
    },
  );

  it('goes on with the best guess when nothing explains everything', () => {
    const diagnosis = diagnosisOf(twoRows());
    const hidden = diagnosis.suspects.find(({ fault }) => fault.kind === 'swapped' && fault.wire === 1)!;
    const probe = diagnosis.probes.find((each) => each.kind === 'volts' && each.point === 'end-2')!;
    const wrong = diagnosis.probes.find((each) => each.kind === 'volts' && each.point === 'supply-1')!;
    const { left, unexplained } = suspectsLeft(diagnosis, {
      looks: hidden.looks,
      readings: [
        { probe, judged: 'reversed' },
        { probe: wrong, judged: 'none' },
      ],
    });
    expect(unexplained).toBe(1);
    expect(left).toContain(hidden);
  });

  it('names every fault in words of its own, of every supply and lead', () => {
    for (const supplyCount of [1, 2]) {
      const board = boardFor(
        changed(dispensary, {
          ...inAssembly({ 'light.rowCount': 4 }),
          'power.chainsBegin': [3],
          'power.supplyCount': supplyCount,
        }),
      );
      const words = faultsOf(board).map((fault) => faultWords(board, fault));
      expect(new Set(words).size).toBe(words.length);
      expect(words.filter((text) => text.includes('lead') && text.includes('swapped'))).toHaveLength(
        supplyCount + board.circuit.wires.filter(({ from }) => from === 'lead').length,
      );
    }
  });
});

describe('practice', () => {
  it('hides the same fault for the same seed, of the kind its level asks for, and one that shows', () => {
    const diagnosis = diagnosisOf(boardFor(demoDesigns.curlew));
    const easy = Array.from({ length: 40 }, (_, seed) => hiddenFault(diagnosis, 'easy', seed));
    expect(easy.map(({ fault }) => fault)).toEqual(
      Array.from({ length: 40 }, (_, seed) => hiddenFault(diagnosis, 'easy', seed).fault),
    );
    expect(new Set(easy).size).toBeGreaterThan(8);
    expect(easy.every(({ fault }) => !['loose', 'shorted'].includes(fault.kind))).toBe(true);
    expect(easy.every(({ looks: seen }) => seen.includes('dark') || seen.includes('partly'))).toBe(true);
    for (const level of ['easy', 'fair', 'hard'] as const)
      expect(parFor(diagnosis, hiddenFault(diagnosis, level, 3))).toBeLessThan(10);
  });

  it('scores by measurements beyond those needed, and by wrong names', () => {
    expect([scoreOf(2, 2, 0), scoreOf(4, 2, 0), scoreOf(2, 2, 1), scoreOf(30, 2, 3), scoreOf(1, 0, 0)]).toEqual([
      100, 80, 70, 0, 100,
    ]);
  });
});

describe('a bench in a thread of its own', () => {
  it('opens a circuit, hides a fault, is measured and told; and refuses what makes no sense', () => {
    const ask = createFaultSession(fonts);
    expect(ask({ id: 1, kind: 'measure', probe: 0 })).toMatchObject({ id: 1, kind: 'refused' });
    const opened = ask({ id: 2, kind: 'open', design: demoDesigns.curlew });
    if (opened.kind !== 'opened') throw new Error('not opened');
    expect(opened.drawing.segments).toHaveLength(7);
    expect(ask({ id: 3, kind: 'measure', probe: 0 })).toMatchObject({ kind: 'refused' });
    const shown = ask({ id: 4, kind: 'hide', level: 'fair', seed: 5 });
    if (shown.kind !== 'hidden') throw new Error('not hidden');
    expect(shown.tints).toEqual([]);
    expect(ask({ id: 5, kind: 'measure', probe: 9999 })).toMatchObject({ kind: 'refused' });
    // Led by its own proposals, the bench comes to an answer that is right.
    let signs: Symptoms = { looks: shown.looks, readings: [] };
    for (let turn = 0; ; turn += 1) {
      const told = ask({ id: 6, kind: 'explain', signs });
      if (told.kind !== 'explained') throw new Error('not explained');
      if (told.next === null) {
        expect(turn).toBe(shown.par);
        expect(ask({ id: 7, kind: 'name', fault: told.left[0]! })).toMatchObject({ right: true });
        const wrong = opened.faults.findIndex((_, index) => !told.left.includes(index));
        expect(ask({ id: 8, kind: 'name', fault: wrong })).toEqual({
          id: 8,
          kind: 'named',
          right: false,
          answer: null,
        });
        break;
      }
      const measured = ask({ id: 9, kind: 'measure', probe: told.next });
      if (measured.kind !== 'measured') throw new Error('not measured');
      signs = {
        ...signs,
        readings: [...signs.readings, { probe: opened.probes[told.next]!.probe, judged: measured.judged }],
      };
    }
    // Of several colours each is shown by itself; their mean is the light of the segment.
    expect(ask({ id: 11, kind: 'open', design: demoDesigns.slipway }).kind).toBe('opened');
    const mixed = ask({ id: 12, kind: 'hide', level: 'fair', seed: 2 });
    if (mixed.kind !== 'hidden') throw new Error('not hidden');
    mixed.tints.forEach((channels, segment) => {
      expect(channels).toHaveLength(3);
      mixed.lights[segment]!.forEach((light, group) =>
        expect(channels.reduce((sum, channel) => sum + channel[group]!, 0) / 3).toBeCloseTo(light, 9),
      );
    });
    const empty = changed(dispensary, inAssembly({ 'case.widthMm': 110, 'light.endMarginMm': 50 }));
    const refused = ask({ id: 10, kind: 'open', design: empty });
    expect(refused.kind === 'refused' ? refused.sentence : '').toContain('no strip');
  });
});
