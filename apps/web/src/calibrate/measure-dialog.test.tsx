import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { kerfSquareMm, type MeasurableKind } from '@vitrum/core';
import type { ComponentProps } from 'react';
import { fakeServer, problem, type Said } from '../testing/fake-server';
import { choose } from '../testing/fields';
import { MeasureDialog } from './measure-dialog';
import { today } from './reading-rows';

let server: ReturnType<typeof fakeServer>;
let said: Said;
const onClose = jest.fn();
beforeEach(() => {
  said = [200, {}];
  server = fakeServer(() => said);
  onClose.mockClear();
});
afterEach(() => server.end());

const open = (kind: MeasurableKind, item: Partial<ComponentProps<typeof MeasureDialog>['item']> = {}): void =>
  void render(
    <QueryClientProvider client={new QueryClient()}>
      <MeasureDialog
        kind={kind}
        item={{ id: 'item', name: 'Opal', provenance: 'typical', ...item }}
        onClose={onClose}
      />
    </QueryClientProvider>,
  );
const type = async (label: string, text: string): Promise<void> => {
  const field = await screen.findByLabelText(label);
  await userEvent.clear(field);
  await userEvent.type(field, text);
};
const pairs = async (names: readonly [string, string], rows: readonly (readonly [string, string])[]) => {
  for (const [at, [first, second]] of rows.entries()) {
    await type(`${names[0]}, reading ${at + 1}`, first);
    await type(`${names[1]}, reading ${at + 1}`, second);
  }
};
const use = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Use it from now on' });
const sent = () => server.asked[0]!;

describe('lux through a face', () => {
  const names = ['Without', 'Through'] as const;

  it('comes to what it passes, with how sure that is, and becomes the figure of the shelf', async () => {
    open('faces');
    await pairs(names, [
      ['1000', '400'],
      ['500', '200'],
      ['800', '320'],
    ]);
    expect(screen.getByTestId('fit').textContent).toContain('It passes 40.0 % ± 0.0');
    await userEvent.click(use());
    await waitFor(() => expect(onClose).toHaveBeenCalled());
    expect(sent()).toMatchObject({
      method: 'PUT',
      path: '/api/catalogue/faces/item/measured',
      body: { how: 'lux meter, sample laid on it', readings: 3, on: today() },
    });
    expect((sent().body as { figures: { transmittance: number } }).figures.transmittance).toBeCloseTo(0.4, 12);
  });

  it('of one pair says no more than it knows', async () => {
    open('faces');
    await pairs(names, [['1000', '617,6']]);
    expect(screen.getByTestId('fit').textContent).toBe('It passes 61.8 %');
  });

  it('tells which reading is off', async () => {
    open('faces');
    await pairs(names, [
      ['1000', '400'],
      ['500', '200'],
      ['800', '400'],
    ]);
    const off = screen
      .getAllByRole('row')
      .slice(1, 4)
      .map((row) => parseFloat(row.lastElementChild!.textContent));
    expect(Math.max(...off.map(Math.abs))).toBe(Math.abs(off[2]!));
    expect(Math.abs(off[2]!)).toBeGreaterThan(5);
  });

  it.each([
    ['more than there was', '100', '140'],
    ['a word', '100', 'much'],
    ['nothing without it', '0', '10'],
  ])('is refused where it is %s', async (_, bare, through) => {
    open('faces');
    await pairs(names, [[bare, through]]);
    expect(screen.getByRole('alert').textContent).not.toBe('');
    expect(screen.queryByRole('button', { name: 'Use it from now on' })).toBeNull();
  });

  it('always has room for one more', async () => {
    open('faces');
    await type('Without, reading 1', '9');
    expect(screen.getByLabelText('Without, reading 2')).toBeTruthy();
    await type('Through, reading 2', '3');
    expect(screen.getByLabelText('Without, reading 3')).toBeTruthy();
  });
});

describe('the width of a cut', () => {
  it('of a beam is half of what a piece and its hole differ by; what is the same way off on both is its scale', async () => {
    open('cutters', { name: 'Laser' });
    // A cut 0.2 mm wide: the piece is smaller, the hole larger, each by half of it on either side.
    await pairs(
      ['Piece', 'Hole'],
      [
        [`${kerfSquareMm - 0.2}`, `${kerfSquareMm + 0.2}`],
        [`${kerfSquareMm - 0.2}`, `${kerfSquareMm + 0.2}`],
      ],
    );
    expect(screen.getByTestId('fit').textContent).toContain('0.20 mm wide');
    expect(screen.queryByText(/Apart from that the machine/)).toBeNull();
    expect(screen.getByRole('button', { name: 'Coupon, SVG' })).toBeTruthy();
  });

  it('tells a machine that makes everything too large apart from its kerf', async () => {
    open('cutters', { name: 'Laser' });
    await pairs(['Piece', 'Hole'], [[`${kerfSquareMm + 0.1}`, `${kerfSquareMm + 0.5}`]]);
    expect(screen.getByTestId('fit').textContent).toContain('0.20 mm wide');
    expect(screen.getByText(/Apart from that the machine/).textContent).toContain('0.30 mm too large');
  });

  it('of a saw is what an offcut lost', async () => {
    open('tools', { name: 'Saw', kind: 'blade' });
    expect(screen.queryByRole('button', { name: 'Coupon, SVG' })).toBeNull();
    await pairs(['Whole', 'Halves'], [['200', '197.2']]);
    expect(screen.getByTestId('fit').textContent).toContain('2.80 mm wide');
    await userEvent.click(use());
    await waitFor(() => expect(onClose).toHaveBeenCalled());
    expect(sent().body).toMatchObject({ figures: { cutMm: 2.8 }, how: 'calipers, offcut sawn in two' });
  });

  it('is measured in what it cuts, where that is more than one thing', async () => {
    open('cutters', {
      name: 'Laser',
      cuts: [{ stuff: 'acrylic' }, { stuff: 'plywood' }, { stuff: 'acrylic' }] as never,
    });
    await choose('Cut in', 'plywood');
    await pairs(['Piece', 'Hole'], [[`${kerfSquareMm - 0.2}`, `${kerfSquareMm + 0.2}`]]);
    await userEvent.click(use());
    await waitFor(() => expect(onClose).toHaveBeenCalled());
    expect(sent().body).toMatchObject({ figures: { stuff: 'plywood' } });
  });
});

describe('a measured item', () => {
  it('goes back to its typical figures', async () => {
    open('faces', { provenance: 'measured' });
    await userEvent.click(await screen.findByRole('button', { name: 'Go back to the typical figures' }));
    await waitFor(() => expect(onClose).toHaveBeenCalled());
    expect(sent()).toMatchObject({ method: 'DELETE', path: '/api/catalogue/faces/item/measured' });
  });

  it('stays as it is, with all that was read, where the server says no', async () => {
    said = problem(409, 'it was measured elsewhere just now');
    open('faces');
    await pairs(['Without', 'Through'], [['1000', '400']]);
    await userEvent.click(use());
    expect((await screen.findByRole('alert')).textContent).toBe('it was measured elsewhere just now');
    expect(use().disabled).toBe(false);
    expect(screen.getByLabelText<HTMLInputElement>('Through, reading 1').value).toBe('400');
    expect(onClose).not.toHaveBeenCalled();
  });
});

it('a file that is no picture is told so, and can be taken anew', async () => {
  open('faces');
  await userEvent.click(await screen.findByRole('radio', { name: 'Photograph of a coupon' }));
  await userEvent.upload(screen.getByLabelText('Photograph'), new File(['x'], 'notes.png', { type: 'image/png' }));
  expect((await screen.findByRole('alert')).textContent).toContain('notes.png is no picture that can be read');
});
