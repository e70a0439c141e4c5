import { describe, expect, it, jest } from '@jest/globals';
import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { shippedCatalogue, type Catalogue } from '@vitrum/core';
import { fitting, SectionTable, whole, type ItemActions } from './section-table';
import { sectionsOf } from './sections';

const spacers = (catalogue: Catalogue = shippedCatalogue) =>
  sectionsOf(catalogue).find(({ kind }) => kind === 'spacers')!;
const actions = () =>
  ({
    onChange: jest.fn(),
    onCopy: jest.fn(),
    onOffer: jest.fn(),
    onMeasure: jest.fn(),
  }) satisfies ItemActions;
const firstCells = () =>
  screen
    .getAllByRole('row')
    .slice(1)
    .map((row) => within(row).getAllByRole('cell')[1]!.textContent);

describe('a list of the shelf', () => {
  it('goes by any of its columns, up and down, numbers as numbers', async () => {
    const user = userEvent.setup();
    render(<SectionTable section={spacers()} filter={whole} actions={actions()} />);
    await user.click(screen.getByRole('button', { name: 'adds' }));
    const heights = firstCells().map((text) => Number.parseFloat(text ?? ''));
    expect(heights).toEqual([...heights].sort((a, b) => a - b));
    expect(screen.getByRole('columnheader', { name: 'adds' }).getAttribute('aria-sort')).toBe('ascending');
    await user.click(screen.getByRole('button', { name: 'adds' }));
    expect(firstCells().map((text) => Number.parseFloat(text ?? ''))).toEqual([...heights].reverse());
  });

  it('shows what fits all words, by supplier too', () => {
    const [first, ...rest] = shippedCatalogue.spacers;
    const catalogue = {
      ...shippedCatalogue,
      spacers: [{ ...first!, supplier: 'Quay Timber', packOf: 50, leadDays: 1 }, ...rest],
    };
    render(<SectionTable section={spacers(catalogue)} filter={{ ...whole, words: 'quay' }} actions={actions()} />);
    expect(screen.getAllByRole('row')).toHaveLength(2);
    expect(screen.getByText('packs of 50 · Quay Timber · 1 day')).toBeTruthy();
    expect(fitting(spacers(catalogue), { ...whole, words: 'quay' })).toBe(1);
    expect(fitting(spacers(catalogue), { ...whole, words: 'moon' })).toBe(0);
  });

  it('shows what a supplier sells, or what has figures of one origin', () => {
    const [first, second, ...rest] = shippedCatalogue.spacers;
    const catalogue = {
      ...shippedCatalogue,
      spacers: [{ ...first!, supplier: 'Quay Timber' }, { ...second!, editedOn: '2030-01-02' }, ...rest],
    };
    const counts = (filter: Partial<typeof whole>): number => fitting(spacers(catalogue), { ...whole, ...filter });
    expect(counts({ supplier: 'Quay Timber' })).toBe(1);
    expect(counts({ supplier: 'Quay' })).toBe(0);
    expect([counts({ origin: 'changed' }), counts({ origin: 'measured' })]).toEqual([1, 0]);
    expect(counts({ origin: 'typical' })).toBe(counts({}) - 1);
    expect(counts({ origin: 'changed', supplier: 'Quay Timber' })).toBe(0);
  });

  it('leaves out what is no longer offered until that is asked for, and offers it again', async () => {
    const user = userEvent.setup();
    const [first, second, ...rest] = shippedCatalogue.spacers;
    const catalogue = {
      ...shippedCatalogue,
      spacers: [{ ...first!, retiredOn: '2030-01-02' }, { ...second!, newerId: 'x' }, ...rest],
    };
    const own = actions();
    const { rerender } = render(<SectionTable section={spacers(catalogue)} filter={whole} actions={own} />);
    expect(screen.queryByText(first!.name)).toBeNull();
    rerender(<SectionTable section={spacers(catalogue)} filter={{ ...whole, old: true }} actions={own} />);
    expect(screen.getByText('retired 2030-01-02')).toBeTruthy();
    // What designs keep as it was is changed by nobody.
    expect(screen.queryByRole('button', { name: `Change ${second!.name}` })).toBeNull();
    await user.click(screen.getByRole('button', { name: `Offer ${first!.name}` }));
    expect(own.onOffer).toHaveBeenCalledWith(expect.objectContaining({ id: first!.id }), true);
    const [third] = rest;
    await user.click(screen.getByRole('button', { name: `Retire ${third!.name}` }));
    expect(own.onOffer).toHaveBeenLastCalledWith(expect.objectContaining({ id: third!.id }), false);
    await user.click(screen.getByRole('button', { name: `Copy ${third!.name}` }));
    await user.click(screen.getByRole('button', { name: `Change ${third!.name}` }));
    expect([own.onCopy.mock.calls.length, own.onChange.mock.calls.length]).toEqual([1, 1]);
  });
});
