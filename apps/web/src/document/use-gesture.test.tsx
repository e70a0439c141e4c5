import { beforeEach, describe, expect, it } from '@jest/globals';
import { fireEvent, render, screen } from '@testing-library/react';
import { demoDesigns, fieldsOf, inDesign, set, type LightboxAssembly } from '@vitrum/core';
import { openDesign } from '../testing/open-design';
import { changeDesign, redo, undo, useDocument } from './document-store';
import { useGesture } from './use-gesture';

const box = fieldsOf<LightboxAssembly>('assemblies.0');
const now = () => useDocument.getState();
const depth = (): number => {
  const [own] = now().design!.assemblies;
  return own?.build === 'lightbox' ? own.case.depthInsideMm : Number.NaN;
};

/** A handle that is dragged: each move is a depth. */
const Handle = () => {
  const gesture = useGesture();
  return (
    <button
      onMouseDown={gesture.begin}
      onMouseMove={(event) => gesture.change([set(box.case.depthInsideMm, event.clientX)])}
      onMouseUp={() => gesture.letGo('end')}
      onKeyDown={({ key }) => (key === 'Escape' ? gesture.letGo('cancel') : undefined)}
    >
      handle
    </button>
  );
};

/** The handle stands there only while the box is shallow, as one does that a re-solve takes away. */
const Page = () => {
  const mm = useDocument(({ design }) => {
    const [own] = design!.assemblies;
    return own?.build === 'lightbox' ? own.case.depthInsideMm : 0;
  });
  return mm < 100 ? <Handle /> : <p>gone</p>;
};

const handle = (): HTMLElement => screen.getByText('handle');
const dragTo = (...places: readonly number[]): void => {
  fireEvent.mouseDown(handle());
  for (const clientX of places) fireEvent.mouseMove(handle(), { clientX });
};

beforeEach(() => openDesign(demoDesigns.dispensary));

describe('a handle on the page', () => {
  it('moves the design as it is dragged, and is one step of undo', () => {
    render(<Page />);
    dragTo(82, 85, 90);
    expect([depth(), now().history.past.length]).toEqual([90, 0]);
    fireEvent.mouseUp(handle());
    expect(now().history.past).toHaveLength(1);
    undo();
    expect(depth()).toBe(81);
  });

  it('leaves nothing behind when Escape calls the drag off', () => {
    render(<Page />);
    dragTo(90);
    fireEvent.keyDown(handle(), { key: 'Escape' });
    fireEvent.mouseMove(handle(), { clientX: 95 });
    expect([depth(), now().history.past.length, now().history.future.length]).toEqual([81, 0, 0]);
  });

  it('that goes away in the midst of a drag ends it there, and later edits can be undone', () => {
    render(<Page />);
    dragTo(90, 120);
    expect(screen.getByText('gone')).toBeTruthy();
    changeDesign([set(inDesign.brief.quantity, 4)]);
    undo();
    expect([depth(), now().design!.brief.quantity]).toEqual([120, 1]);
    undo();
    expect(depth()).toBe(81);
    redo();
    redo();
    expect([depth(), now().design!.brief.quantity]).toEqual([120, 4]);
  });
});
