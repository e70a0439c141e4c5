import { beforeEach, describe, expect, it } from '@jest/globals';
import { demoDesigns, fieldsOf, inDesign, set, type LightboxAssembly } from '@vitrum/core';
import { beginGesture, changeDesign, redo, undo, useDocument } from './document-store';
import { openDesign } from '../testing/open-design';

const box = fieldsOf<LightboxAssembly>('assemblies.0');
const depth = (): number => {
  const [assembly] = useDocument.getState().design!.assemblies;
  return assembly?.build === 'lightbox' ? assembly.case.depthInsideMm : Number.NaN;
};
const deep = (mm: number) => [set(box.case.depthInsideMm, mm)];
const quantity = (): number => useDocument.getState().design!.brief.quantity;

describe('a drag', () => {
  let usual = 0;
  beforeEach(() => {
    openDesign(demoDesigns.dispensary);
    usual = depth();
  });

  it('that began with a refused value and was called off leaves the edit before it', () => {
    changeDesign([set(inDesign.brief.quantity, 5)]);
    const drag = beginGesture();
    drag.change(deep(-3));
    drag.cancel();
    expect([quantity(), depth()]).toEqual([5, usual]);
    undo();
    expect(quantity()).toBe(1);
    redo();
    expect(quantity()).toBe(5);
  });

  it('that began with a refused value and went on is one step, and the edit before it another', () => {
    changeDesign([set(inDesign.brief.quantity, 5)]);
    const drag = beginGesture();
    drag.change(deep(-3));
    drag.change(deep(usual + 3));
    drag.change(deep(usual + 4));
    drag.end();
    undo();
    expect([quantity(), depth()]).toEqual([5, usual]);
    undo();
    expect([quantity(), depth()]).toEqual([1, usual]);
  });

  it('that was called off leaves nothing to be redone', () => {
    const drag = beginGesture();
    drag.change(deep(usual + 9));
    drag.cancel();
    redo();
    expect(depth()).toBe(usual);
  });

  it('that was called off leaves what could be redone before', () => {
    changeDesign([set(inDesign.brief.quantity, 5)]);
    undo();
    const drag = beginGesture();
    drag.change(deep(usual + 9));
    drag.cancel();
    redo();
    expect([quantity(), depth()]).toEqual([5, usual]);
  });

  it('that never ended keeps nothing from being undone', () => {
    const drag = beginGesture();
    drag.change(deep(usual + 9));
    changeDesign([set(inDesign.brief.quantity, 5)]);
    undo();
    expect([quantity(), depth()]).toEqual([1, usual + 9]);
    undo();
    expect([quantity(), depth()]).toEqual([1, usual]);
    // Its handle is gone; what it says later counts for nothing.
    drag.change(deep(usual + 20));
    drag.cancel();
    expect(depth()).toBe(usual);
    redo();
    redo();
    expect([quantity(), depth()]).toEqual([5, usual + 9]);
  });

  it('ends when another begins, and the two are two steps', () => {
    beginGesture().change(deep(usual + 9));
    const other = beginGesture();
    other.change([set(inDesign.brief.quantity, 5)]);
    other.end();
    undo();
    expect([quantity(), depth()]).toEqual([1, usual + 9]);
    undo();
    expect([quantity(), depth()]).toEqual([1, usual]);
  });

  it('is undone whole by undo in the midst of it, and then lies still', () => {
    changeDesign([set(inDesign.brief.quantity, 5)]);
    const drag = beginGesture();
    drag.change(deep(usual + 9));
    undo();
    drag.change(deep(usual + 11));
    drag.end();
    expect([quantity(), depth()]).toEqual([5, usual]);
    redo();
    expect(depth()).toBe(usual + 9);
  });

  it('that came back to where it began is no step', () => {
    changeDesign([set(inDesign.brief.quantity, 5)]);
    const drag = beginGesture();
    drag.change(deep(usual + 9));
    drag.change(deep(usual));
    drag.end();
    undo();
    expect(quantity()).toBe(1);
  });
});
