import { beforeEach, describe, expect, it } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { demoDesigns, fieldsOf, type AnyAssembly } from '@vitrum/core';
import { undo, useDocument } from '../document/document-store';
import { noPins } from '../document/pins';
import { openDesign } from '../testing/open-design';
import { PinHandle } from './pin-handle';

const field = fieldsOf<AnyAssembly>('assemblies.0').hanging.pinned;
const pinsNow = () => useDocument.getState().design!.assemblies[0]!.hanging?.pinned ?? noPins;

/** A fixing where it was last worked out: it stays there, however often the design changes. */
const fixing = (at: readonly [number, number]) => (
  <svg>
    <PinHandle
      name="Fixing 1"
      testId="fixing"
      number={1}
      at={at}
      radiusPx={5}
      view={{ scale: 1, originX: 0, originY: 0 }}
      field={field}
      pins={pinsNow()}
      pinsNow={pinsNow}
      numbered
      colour="#fff"
    />
  </svg>
);
const shown = (at: readonly [number, number] = [100, 50]) => render(fixing(at));

beforeEach(() => openDesign(demoDesigns.dispensary));

describe('what is moved by keys', () => {
  it('goes on from where the last key put it, however late the sign is worked out', async () => {
    const user = userEvent.setup();
    shown();
    screen.getByTestId('fixing').focus();
    await user.keyboard('{ArrowDown}{ArrowDown}{ArrowDown}');
    expect(pinsNow()).toEqual([{ xMm: 100, yMm: 47 }]);
    await user.keyboard('{ArrowRight}');
    expect(pinsNow()).toEqual([{ xMm: 101, yMm: 47 }]);
    undo();
    expect(pinsNow()).not.toContainEqual({ xMm: 101, yMm: 47 });
  });

  it('stays one when a place that it was put to, and has left since, is worked out between two keys', async () => {
    const user = userEvent.setup();
    const { rerender } = shown();
    screen.getByTestId('fixing').focus();
    await user.keyboard('{ArrowDown}{ArrowDown}');
    rerender(fixing([100, 49]));
    await user.keyboard('{ArrowDown}');
    expect(pinsNow()).toEqual([{ xMm: 100, yMm: 47 }]);
    rerender(fixing([100, 48]));
    await user.keyboard('{Delete}');
    expect(pinsNow()).toEqual([]);
  });

  it('goes on from where it stands once it was caught up with, and after a step back', async () => {
    const user = userEvent.setup();
    const { rerender } = shown();
    screen.getByTestId('fixing').focus();
    await user.keyboard('{ArrowDown}{ArrowDown}');
    rerender(fixing([100, 48]));
    await user.keyboard('{ArrowDown}');
    expect(pinsNow()).toEqual([{ xMm: 100, yMm: 47 }]);
    undo();
    rerender(fixing([100, 48]));
    await user.keyboard('{ArrowRight}');
    expect(pinsNow()).toEqual([{ xMm: 101, yMm: 48 }]);
  });

  it('says whether it is held by hand, and is let go by Delete', async () => {
    const user = userEvent.setup();
    openDesign({
      ...demoDesigns.dispensary,
      assemblies: demoDesigns.dispensary.assemblies.map((each) => ({
        ...each,
        hanging: { way: 'keyholes' as const, pinned: [{ xMm: 100, yMm: 50 }] },
      })),
    });
    shown();
    expect(screen.getByRole('button', { name: 'Fixing 1 at 100, 50 mm, held by hand' })).toBeTruthy();
    screen.getByTestId('fixing').focus();
    await user.keyboard('{Delete}');
    expect(pinsNow()).toEqual([]);
  });
});
