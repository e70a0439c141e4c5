import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import type { Symptoms } from '../../power/faults/diagnose.js';
import { createFaultSession } from '../../session/fault-session.js';
import type { Design } from '../../sign/design/index.js';
import { testFonts } from '../../testing/harness.js';
import { edgeLitDemos } from './demos.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

/** Measures as the bench advises until one fault is left, as a careful person would; how many readings that took. */
const found = (
  design: Design,
  seed: number,
): { readonly readings: number; readonly right: boolean; readonly par: number } => {
  const ask = createFaultSession(fonts);
  const opened = ask({ id: 1, kind: 'open', design });
  if (opened.kind !== 'opened') throw new Error(JSON.stringify(opened));
  const shown = ask({ id: 2, kind: 'hide', level: 'fair', seed });
  if (shown.kind !== 'hidden') throw new Error(JSON.stringify(shown));
  let signs: Symptoms = { looks: shown.looks, readings: [] };
  for (let at = 0; at < 40; at += 1) {
    const told = ask({ id: 3, kind: 'explain', signs });
    if (told.kind !== 'explained') throw new Error(JSON.stringify(told));
    if (told.next === null) {
      const named = ask({ id: 4, kind: 'name', fault: told.left[0]! });
      return { readings: at, right: named.kind === 'named' && named.right, par: shown.par };
    }
    const measured = ask({ id: 5, kind: 'measure', probe: told.next });
    if (measured.kind !== 'measured') throw new Error(JSON.stringify(measured));
    const { probe } = opened.probes[told.next]!;
    signs = { ...signs, readings: [...signs.readings, { probe, judged: measured.judged }] };
  }
  throw new Error('forty readings, and no fault');
};

describe('practice on edge-lit panels', () => {
  it.each(Object.entries(edgeLitDemos))('a fault hidden in %s is found by the readings that are advised', (_, demo) => {
    for (const seed of [1, 2, 3]) {
      const { readings, right, par } = found(demo, seed);
      expect(right).toBe(true);
      expect(readings).toBe(par);
    }
  });
});
