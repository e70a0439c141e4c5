import { describe, expect, it } from '@jest/globals';
import { mergeSteps, type AssemblySteps, type Step, type ToldStep } from './index.js';

const told = (id: string, rest: Partial<ToldStep> = {}): ToldStep => ({
  id,
  phase: 'wire',
  title: id,
  detail: '',
  minutes: 10,
  waitMinutes: 0,
  caution: null,
  ofSign: false,
  ...rest,
});
const assembly = (id: string, label: string, ...steps: readonly ToldStep[]): AssemblySteps => ({
  id,
  label,
  index: label === 'B' ? 1 : 0,
  steps,
});
const afterOf = (steps: readonly Step[]) => Object.fromEntries(steps.map(({ id, work }) => [id, work.after]));

describe('what must come before a step', () => {
  it('is all that nothing follows yet', () => {
    expect(afterOf(mergeSteps([assembly('box', '', told('cut'), told('glue'), told('wire'))]))).toEqual({
      cut: [],
      glue: ['cut'],
      wire: ['glue'],
    });
  });

  it('is what a build says, and what follows both waits for both', () => {
    const steps = mergeSteps([
      assembly('box', '', told('cut'), told('paint'), told('letters', { work: { after: ['cut'] } }), told('close')),
    ]);
    expect(afterOf(steps)).toEqual({ cut: [], paint: ['cut'], letters: ['cut'], close: ['paint', 'letters'] });
  });

  it('of what is done once for the sign is the end of each assembly that tells of it', () => {
    const soak = told('soak', { ofSign: true, phase: 'prove' });
    const steps = mergeSteps([
      assembly('box', 'A', told('cut'), soak, told('hang', { phase: 'hang' })),
      assembly('letters', 'B', told('cut'), told('posts'), soak),
    ]);
    expect(steps.map(({ id }) => id)).toEqual(['box-cut', 'letters-cut', 'letters-posts', 'soak', 'box-hang']);
    expect(afterOf(steps)).toMatchObject({ soak: ['box-cut', 'letters-posts'], 'box-hang': ['soak'] });
  });

  it('names steps of its own assembly, and forgets those that are not there', () => {
    const steps = mergeSteps([
      assembly('box', 'A', told('cut'), told('face', { work: { after: ['cut', 'gone'] } })),
      assembly('letters', 'B', told('cut')),
    ]);
    expect(afterOf(steps)['box-face']).toEqual(['box-cut']);
  });
});

describe('what a step asks of the shop', () => {
  it('goes by what is done, unless the build says otherwise', () => {
    const [saw, coat, soak, odd] = mergeSteps([
      assembly(
        'box',
        '',
        told('rip', { phase: 'cut' }),
        told('coat-1', { phase: 'finish', waitMinutes: 60 }),
        told('soak', { phase: 'prove', waitMinutes: 60 }),
        told('glue', { phase: 'finish', waitMinutes: 30, work: { people: 2, holds: true } }),
      ),
    ]);
    expect(saw!.work).toMatchObject({ place: 'saw', people: 1, whole: false, holds: false, attended: false });
    expect(coat!.work).toMatchObject({ place: 'paint', whole: true, holds: true });
    expect(soak!.work).toMatchObject({ place: 'bench', whole: true, holds: true, attended: true });
    expect(odd!.work).toMatchObject({ place: 'bench', people: 2, holds: true });
  });

  it('once it has been brought to where it hangs is done there', () => {
    const steps = mergeSteps([
      assembly('box', '', told('wire'), told('hang', { phase: 'hang' }), told('even', { phase: 'prove' })),
    ]);
    expect(steps.map(({ work }) => work.place)).toEqual(['bench', 'site', 'site']);
  });
});
