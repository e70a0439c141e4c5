import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../artwork/lettering/index.js';
import { shippedCatalogue } from '../document/catalogue/index.js';
import { changed, dispensary, inAssembly, testFonts } from '../testing/harness.js';
import { testPaper } from '../testing/packs.js';
import { faceOptions } from '../sign/tryouts/index.js';
import { createSession, type SessionReply } from './index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const open = () => {
  const replies: SessionReply[] = [];
  const pause = () => new Promise<void>((resolve) => setImmediate(resolve));
  const handle = createSession({ fonts, paper: testPaper, post: (reply) => replies.push(reply), pause });
  const kinds = (id: number) => replies.filter((reply) => reply.id === id).map(({ kind }) => kind);
  return { handle, replies, kinds };
};

describe('an evaluation session', () => {
  it('answers with the evaluation, and with the fixes of what is asked for, as they are asked for', async () => {
    const { handle, kinds, replies } = open();
    await handle({ kind: 'open', id: 0, catalogue: shippedCatalogue });
    await handle({ kind: 'evaluate', id: 1, design: dispensary });
    expect(kinds(1)).toEqual(['evaluated']);
    const [first] = replies.flatMap((reply) => (reply.kind === 'evaluated' ? reply.evaluation.findings : []));
    expect(first!.fixes).toEqual([]);
    await handle({ kind: 'fixes', id: 2, design: dispensary, findings: ['not-found-here', first!.id] });
    expect(kinds(2)).toEqual(['fixes', 'all-fixes']);
    const tried = replies.flatMap((reply) => (reply.kind === 'fixes' ? reply.finding : []));
    expect(tried.map(({ id, fixes }) => [id, fixes.length > 0])).toEqual([[first!.id, true]]);
  });

  it('tries the fixes of a design that it has not seen, and refuses one that cannot be built', async () => {
    const { handle, kinds, replies } = open();
    await handle({ kind: 'open', id: 0, catalogue: shippedCatalogue });
    await handle({ kind: 'fixes', id: 1, design: dispensary, findings: [] });
    expect(kinds(1)).toEqual(['all-fixes']);
    const wrong = changed(dispensary, inAssembly({ 'case.seatMm': 11.5 }));
    await handle({ kind: 'fixes', id: 2, design: wrong, findings: ['dots-show'] });
    expect(replies.at(-1)).toMatchObject({ kind: 'refused', problems: [{ path: 'assemblies.0.case.seatMm' }] });
  });

  it('chooses a design anew, telling how it goes on, until it is called off', async () => {
    const { handle, kinds, replies } = open();
    await handle({ kind: 'open', id: 0, catalogue: shippedCatalogue });
    await handle({ kind: 'choose', id: 1, design: dispensary, assembly: 0 });
    expect(kinds(1)[0]).toBe('progress');
    const last = replies.at(-1);
    expect(last?.kind === 'chosen' && last.solved.design.solved?.sentence).toBe(
      last?.kind === 'chosen' && last.solved.sentence,
    );
    const work = handle({ kind: 'choose', id: 2, design: dispensary, assembly: 0 });
    await handle({ kind: 'cancel', id: 2 });
    await work;
    expect(kinds(2).at(-1)).toBe('cancelled');
    expect(kinds(2)).not.toContain('chosen');
  });

  it('gives up the fixes of a design when a newer one arrives', async () => {
    const { handle, kinds, replies } = open();
    await handle({ kind: 'open', id: 0, catalogue: shippedCatalogue });
    await handle({ kind: 'evaluate', id: 0, design: dispensary });
    const [found] = replies.flatMap((reply) => (reply.kind === 'evaluated' ? reply.evaluation.findings : []));
    const first = handle({ kind: 'fixes', id: 1, design: dispensary, findings: [found!.id] });
    const second = handle({
      kind: 'evaluate',
      id: 2,
      design: changed(dispensary, inAssembly({ 'case.depthInsideMm': 90 })),
    });
    await Promise.all([first, second]);
    expect(kinds(1)).toEqual(['cancelled']);
    expect(kinds(2)).toEqual(['evaluated']);
  });

  it('can be cancelled', async () => {
    const { handle, kinds } = open();
    await handle({ kind: 'open', id: 0, catalogue: shippedCatalogue });
    const work = handle({ kind: 'evaluate', id: 1, design: dispensary });
    await handle({ kind: 'cancel', id: 1 });
    await work;
    expect(kinds(1).at(-1)).toBe('cancelled');
  });

  it('refuses what cannot be built, and says so when it was not opened', async () => {
    const { handle, replies } = open();
    await handle({ kind: 'evaluate', id: 1, design: dispensary });
    expect(replies.at(-1)?.kind).toBe('crashed');
    await handle({ kind: 'open', id: 2, catalogue: shippedCatalogue });
    await handle({ kind: 'evaluate', id: 3, design: changed(dispensary, inAssembly({ 'case.seatMm': 11.5 })) });
    expect(replies.at(-1)).toMatchObject({ kind: 'refused', problems: [{ path: 'assemblies.0.case.seatMm' }] });
  });

  it('sweeps point by point, and stops when told to', async () => {
    const { handle, kinds, replies } = open();
    await handle({ kind: 'open', id: 0, catalogue: shippedCatalogue });
    const faces = faceOptions(dispensary, 0, shippedCatalogue).slice(0, 1);
    const plan = { assembly: 0, depthsMm: [60, 90], rowCounts: [2, 3, 4], faces, liningIds: ['matt-white'] };
    await handle({ kind: 'sweep', id: 1, design: dispensary, plan });
    expect(kinds(1).at(-1)).toBe('swept');
    const points = replies.flatMap((reply) => (reply.kind === 'tried' ? reply.points : []));
    expect(points.map(({ depthMm, rows }) => [depthMm, rows])).toEqual([
      [60, 2],
      [90, 2],
      [60, 3],
      [90, 3],
      [60, 4],
      [90, 4],
    ]);
    const stopped = handle({ kind: 'sweep', id: 2, design: dispensary, plan });
    await handle({ kind: 'cancel', id: 2 });
    await stopped;
    expect(kinds(2).at(-1)).toBe('cancelled');
    await handle({ kind: 'sweep', id: 3, design: dispensary, plan: { ...plan, faces: [] } });
    expect(replies.at(-1)).toMatchObject({ kind: 'refused', problems: [{ path: 'faces' }] });
  });

  it('solves with progress, traces with reports, and stops both when told to', async () => {
    const { handle, kinds } = open();
    await handle({ kind: 'open', id: 0, catalogue: shippedCatalogue });
    const room = {
      assembly: 0,
      faces: faceOptions(dispensary, 0, shippedCatalogue).slice(0, 1),
      liningIds: ['matt-white'],
      fewestRows: 4,
      mostRows: 5,
      shallowestMm: 60,
      deepestMm: 120,
    };
    await handle({ kind: 'solve', id: 1, design: dispensary, goal: 'cheapest', room });
    expect(kinds(1)).toContain('progress');
    expect(kinds(1).at(-1)).toBe('solved');
    for (const request of [
      { kind: 'solve', id: 2, design: dispensary, goal: 'cheapest', room },
      { kind: 'trace', id: 3, design: dispensary, assembly: 0 },
    ] as const) {
      const work = handle(request);
      await handle({ kind: 'cancel', id: request.id });
      await work;
      expect(kinds(request.id).at(-1)).toBe('cancelled');
    }
  });

  it('gives the light maps in full', async () => {
    const { handle, replies } = open();
    await handle({ kind: 'open', id: 0, catalogue: shippedCatalogue });
    await handle({ kind: 'maps', id: 1, design: dispensary });
    const last = replies.at(-1);
    expect(last?.kind === 'packed' && last.zip.length).toBeGreaterThan(100_000);
  });

  it('packs the bench pack', async () => {
    const { handle, replies } = open();
    await handle({ kind: 'open', id: 0, catalogue: shippedCatalogue });
    await handle({ kind: 'pack', id: 1, design: dispensary });
    const last = replies.at(-1);
    expect(last?.kind === 'packed' && last.zip.length).toBeGreaterThan(10_000);
  });
});
