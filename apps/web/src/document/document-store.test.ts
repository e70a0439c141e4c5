import { beforeEach, describe, expect, it } from '@jest/globals';
import type { RevisionWithDesign } from '@vitrum/contract';
import { demoDesigns, fieldsOf, inDesign, set, type Design, type LightboxAssembly } from '@vitrum/core';
import { beginGesture, changeDesign, openDocument, redo, setDesign, undo, useDocument } from './document-store';

const { dispensary } = demoDesigns;
const first = fieldsOf<LightboxAssembly>('assemblies.0');

const head: RevisionWithDesign = {
  number: 4,
  parent: 3,
  hash: 'h4',
  savedAt: '2030-01-01T00:00:00Z',
  note: '',
  setAside: false,
  design: dispensary,
};

const now = () => useDocument.getState();
const depth = (): number => {
  const [assembly] = now().design!.assemblies;
  return assembly?.build === 'lightbox' ? assembly.case.depthInsideMm : Number.NaN;
};
const deepen = (mm: number) => changeDesign([set(first.case.depthInsideMm, mm)]);
const usual = depthOf(dispensary);

function depthOf(design: Design): number {
  const [assembly] = design.assemblies;
  return assembly?.build === 'lightbox' ? assembly.case.depthInsideMm : Number.NaN;
}

describe('the open document', () => {
  beforeEach(() => openDocument('one', head, null, ''));

  it('begins with what the server has, saved and with nothing to undo', () => {
    expect(now()).toMatchObject({ jobId: 'one', basedOn: 'h4', revision: 4, save: { kind: 'saved' } });
    undo();
    redo();
    expect(now().design).toBe(dispensary);
    expect(now().save.kind).toBe('saved');
  });

  it('begins with a draft where there is one, on the revision that the draft was made from', () => {
    const draft = { ...dispensary, name: 'Draft' };
    openDocument('one', head, draft, 'h2');
    expect(now()).toMatchObject({ design: { name: 'Draft' }, basedOn: 'h2', save: { kind: 'unsaved' } });
    undo();
    expect(now().design!.name).toBe('Draft');
  });

  it('takes a change, and gives it back by undo and redo, each to be saved', () => {
    expect(deepen(usual + 7)).toEqual([]);
    expect([depth(), now().save.kind]).toEqual([usual + 7, 'unsaved']);
    deepen(usual + 9);
    undo();
    expect(depth()).toBe(usual + 7);
    undo();
    expect(now().design).toEqual(dispensary);
    redo();
    redo();
    expect(depth()).toBe(usual + 9);
    redo();
    expect(depth()).toBe(usual + 9);
  });

  it('refuses what is no design, with the place, and keeps what it had', () => {
    const problems = deepen(-3);
    expect(problems).toEqual([
      { path: 'assemblies.0.case.depthInsideMm', message: expect.stringContaining('or more') },
    ]);
    expect(now()).toMatchObject({ design: dispensary, save: { kind: 'saved' } });
    undo();
    expect(now().design).toBe(dispensary);
  });

  it('forgets what could be redone once something else is changed', () => {
    deepen(usual + 1);
    undo();
    changeDesign([set(inDesign.brief.quantity, 3)]);
    redo();
    expect([depth(), now().design!.brief.quantity]).toEqual([usual, 3]);
  });

  it('makes one step of a drag, however many places it went through', () => {
    changeDesign([set(inDesign.brief.quantity, 2)]);
    const drag = beginGesture();
    for (const mm of [1, 2, 3, 4]) drag.change([set(first.case.depthInsideMm, usual + mm)]);
    drag.end();
    expect(depth()).toBe(usual + 4);
    undo();
    expect([depth(), now().design!.brief.quantity]).toEqual([usual, 2]);
    redo();
    expect(depth()).toBe(usual + 4);
  });

  it('is as it was after a drag that was called off', () => {
    const drag = beginGesture();
    drag.change([set(first.case.depthInsideMm, usual + 5)]);
    drag.change([set(first.case.depthInsideMm, usual + 6)]);
    drag.cancel();
    expect(now().design).toEqual(dispensary);
    deepen(usual + 1);
    undo();
    expect(now().design).toEqual(dispensary);
  });

  it('stays in conflict until that is settled, whatever is edited', () => {
    useDocument.setState({ save: { kind: 'conflict', head, yours: { ...head, number: 5 } } });
    setDesign({ ...dispensary, name: 'Edited on' });
    expect(now()).toMatchObject({ design: { name: 'Edited on' }, save: { kind: 'conflict' } });
  });

  it('starts its history anew with each document', () => {
    deepen(usual + 2);
    openDocument('two', { ...head, number: 1, hash: 'x1' }, null, '');
    undo();
    expect(now()).toMatchObject({ jobId: 'two', basedOn: 'x1', design: dispensary });
  });
});
