import { beforeEach, describe, expect, it } from '@jest/globals';
import { demoDesigns, fieldsOf, inDesign, seededRandom, set, type Design, type LightboxAssembly } from '@vitrum/core';
import { beginGesture, changeDesign, redo, setDesign, undo, useDocument, type Gesture } from './document-store';
import { openDesign } from '../testing/open-design';
import { entryBetween, noHistory, recorded, redone, undone } from './history';

const operations = 10_000;
const seed = 20_301;

const box = fieldsOf<LightboxAssembly>('assemblies.0');

/** What of a design the model knows. */
type Known = readonly [depth: number, quantity: number, name: string];

const known = (): Known => {
  const { assemblies, brief, name } = useDocument.getState().design!;
  const [first] = assemblies;
  return [first?.build === 'lightbox' ? first.case.depthInsideMm : Number.NaN, brief.quantity, name];
};

/** The plain model: every state kept whole, a place among them, and the drag that is open. */
const plainModel = (start: Known) => {
  let states: Known[] = [start];
  let place = 0;
  let present = start;
  let drag: { readonly token: number } | null = null;
  const record = (): void => {
    if (present.join() === states[place]!.join()) return;
    states = [...states.slice(0, place + 1), present];
    place += 1;
  };
  const settle = (): void => {
    if (drag !== null) record();
    drag = null;
  };
  return {
    present: () => present,
    steps: () => [place, states.length - 1 - place],
    edit: (next: Known) => {
      settle();
      present = next;
      record();
    },
    refused: () => undefined,
    move: (to: -1 | 1) => {
      settle();
      if (states[place + to] === undefined) return;
      place += to;
      present = states[place]!;
    },
    begin: (token: number) => {
      settle();
      drag = { token };
    },
    drag: (token: number, next: Known) => {
      if (drag?.token === token) present = next;
    },
    end: (token: number) => {
      if (drag?.token === token) settle();
    },
    cancel: (token: number) => {
      if (drag?.token !== token) return;
      drag = null;
      present = states[place]!;
    },
  };
};

describe('the history of a design, by chance', () => {
  beforeEach(() => openDesign(demoDesigns.dispensary));

  it(`agrees with a plain model through ${operations} edits, drags, cancels, undos and redos`, () => {
    const random = seededRandom(seed);
    const below = (count: number): number => Math.floor(random() * count);
    const model = plainModel(known());
    const gestures: Gesture[] = [];
    // Mostly the drag that is open; at times one long gone, whose handle still speaks.
    const anyGesture = (): number => (random() < 0.8 ? gestures.length - 1 : below(gestures.length));
    const mm = (): number => 40 + below(60);
    for (let count = 0; count < operations; count += 1) {
      const [depth, quantity, name] = model.present();
      const chance = random();
      if (chance < 0.1) {
        const next = mm();
        changeDesign([set(box.case.depthInsideMm, next)]);
        model.edit([next, quantity, name]);
      } else if (chance < 0.16) {
        const next = 1 + below(9);
        changeDesign([set(inDesign.brief.quantity, next)]);
        model.edit([depth, next, name]);
      } else if (chance < 0.2) {
        const next = `Job ${below(5)}`;
        setDesign({ ...useDocument.getState().design!, name: next });
        model.edit([depth, quantity, next]);
      } else if (chance < 0.26) {
        changeDesign([set(box.case.depthInsideMm, -1)]);
        model.refused();
      } else if (chance < 0.4) {
        undo();
        model.move(-1);
      } else if (chance < 0.5) {
        redo();
        model.move(1);
      } else if (chance < 0.6) {
        gestures.push(beginGesture());
        model.begin(gestures.length - 1);
      } else if (gestures.length > 0) {
        const token = anyGesture();
        if (chance < 0.8) {
          const next = mm();
          gestures[token]!.change([set(box.case.depthInsideMm, next)]);
          model.drag(token, [next, quantity, name]);
        } else if (chance < 0.86) {
          gestures[token]!.change([set(box.case.depthInsideMm, -1)]);
        } else if (chance < 0.93) {
          gestures[token]!.end();
          model.end(token);
        } else {
          gestures[token]!.cancel();
          model.cancel(token);
        }
      }
      const { history } = useDocument.getState();
      const got = [...known(), history.past.length, history.future.length];
      if (got.join() !== [...model.present(), ...model.steps()].join())
        throw new Error(`operation ${count}: ${got.join()} is not ${[...model.present(), ...model.steps()].join()}`);
    }
    expect(known()).toEqual(model.present());
    // All the way back is what was opened, to the last field.
    while (useDocument.getState().history.past.length > 0) undo();
    expect(useDocument.getState().design).toEqual(demoDesigns.dispensary);
  });
});

describe('a step', () => {
  const designs: readonly Design[] = Object.values(demoDesigns);

  it('leads from any design to any other and back, as plain data', () => {
    for (const before of designs)
      for (const after of designs) {
        const entry = entryBetween(before, after);
        if (before === after) {
          expect(entry).toBeNull();
          continue;
        }
        const history = JSON.parse(JSON.stringify({ past: [entry], future: [] })) as typeof noHistory;
        const back = undone(history, after)!;
        expect(back.document).toEqual(before);
        expect(redone(back.history, back.document)!.document).toEqual(after);
      }
  });

  it('touches no more than what differs', () => {
    const before = demoDesigns.dispensary;
    const after = { ...before, brief: { ...before.brief, quantity: 7 } };
    expect(entryBetween(before, after)!.forward).toEqual([{ op: 'replace', path: ['brief', 'quantity'], value: 7 }]);
    const back = undone(recorded(noHistory, before, after), after)!;
    expect(back.document.assemblies).toBe(before.assemblies);
    expect(back.document.brief.quantity).toBe(before.brief.quantity);
  });

  it('takes fields away and brings them back, in lists too', () => {
    const before = { list: [1, 2, 3], gone: { a: null }, kept: 'x' };
    const after = { list: [1], new: [{ b: 1 }], kept: 'x' };
    const [history, document] = [recorded(noHistory, before as object, after), after as object];
    const back = undone(history, document)!;
    expect(back.document).toEqual(before);
    expect(Object.keys(redone(back.history, back.document)!.document).sort()).toEqual(['kept', 'list', 'new']);
  });

  it('that changes nothing is none', () => {
    expect(recorded(noHistory, { a: [Number.NaN] }, { a: [Number.NaN] })).toBe(noHistory);
    expect([undone(noHistory, {}), redone(noHistory, {})]).toEqual([null, null]);
  });
});
