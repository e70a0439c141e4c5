import { beforeAll, beforeEach, describe, expect, it } from '@jest/globals';
import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { demoDesigns, mostRings, type Evaluation, type StackedAssembly, type StackedResults } from '@vitrum/core';
import { act } from 'react';
import { setDesign, undo, useDocument } from '../../document/document-store';
import { InShop, litOf, showLit } from '../../testing/lit';
import { openDesign } from '../../testing/open-design';
import { useView } from '../../view/view-store';
import { LidStep } from './lid-step';
import { LightStep } from './light-step';
import { PlatesStep } from './plates-step';
import { RingList } from './ring-list';

const demo = demoDesigns['smoke-house'];
let evaluation: Evaluation;
let own: StackedResults;
beforeAll(async () => {
  evaluation = await litOf(demo);
  own = evaluation.assemblies[0] as unknown as StackedResults;
});
beforeEach(() => {
  openDesign(demo);
  showLit(evaluation);
  useView.setState({ unit: 'mm' });
});

const now = () => useDocument.getState().design!.assemblies[0] as StackedAssembly;
const changed = (change: Partial<StackedAssembly>): void =>
  void act(() => setDesign({ ...demo, assemblies: [{ ...now(), ...change }] }));
const button = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name });
const materials = () => now().plates.rings.map(({ materialId }) => materialId);
const rows = () => screen.getAllByRole('row').map(({ textContent }) => textContent);

describe('the list of rings', () => {
  const shown = () =>
    render(
      <InShop>
        <RingList />
      </InShop>,
    );

  it('has the one under the lid first, each with its heights, those that glow with how much', () => {
    shown();
    const items = within(screen.getByRole('list', { name: 'Rings' })).getAllByRole('listitem');
    const { rings } = own.geometry;
    expect(items).toHaveLength(rings.length);
    expect(items[0]!.textContent).toContain(`Ring ${rings.length}`);
    expect(items.at(-1)!.textContent).toContain('Ring 1');
    expect(items.at(-1)!.textContent).toContain(`0 mm to ${rings[0]!.toZMm} mm`);
    const glowing = own.glow.bands.map(({ index }) => index);
    expect(glowing.length).toBeGreaterThan(0);
    items.forEach(({ textContent }, at) =>
      expect(textContent.includes('glows')).toBe(glowing.includes(rings.length - 1 - at)),
    );
  });

  it('moves a ring past its neighbour, and ends at base and lid', async () => {
    const user = userEvent.setup();
    shown();
    const before = materials();
    const [opal] = own.glow.bands;
    const name = `Ring ${opal!.index + 1}`;
    expect(button('Ring 1: down').disabled).toBe(true);
    expect(button(`Ring ${before.length}: up`).disabled).toBe(true);
    await user.click(button(`${name}: down`));
    const after = [...before];
    [after[opal!.index], after[opal!.index - 1]] = [before[opal!.index - 1]!, before[opal!.index]!];
    expect(materials()).toEqual(after);
    act(undo);
    expect(materials()).toEqual(before);
  });

  it('lays another of the same stuff on a ring, takes one away, and keeps the last', async () => {
    const user = userEvent.setup();
    shown();
    const before = materials();
    await user.click(button('Ring 1: another on it'));
    expect(materials()).toEqual([before[0], ...before]);
    expect(new Set(now().plates.rings.map(({ id }) => id)).size).toBe(before.length + 1);
    await user.click(button('Ring 2: take away'));
    expect(materials()).toEqual(before);
    changed({ plates: { ...now().plates, rings: [now().plates.rings[0]!] } });
    expect(button('Ring 1: take away').disabled).toBe(true);
  });

  it('lays no more than a stack may have', () => {
    const [ring] = now().plates.rings;
    changed({
      plates: { ...now().plates, rings: Array.from({ length: mostRings }, (_, at) => ({ ...ring!, id: `r${at}` })) },
    });
    shown();
    expect(button('Ring 1: another on it').disabled).toBe(true);
  });

  it('cuts a ring from boards and opal sheets, from nothing printed or clear', async () => {
    const user = userEvent.setup();
    shown();
    await user.click(screen.getByLabelText(/^Ring 1/, { selector: 'button[role=combobox]' }));
    const names = screen.getAllByRole('option').map(({ textContent }) => textContent);
    expect(names.some((name) => name.includes('Opal'))).toBe(true);
    expect(names.some((name) => /Clear|Poster|foam/i.test(name))).toBe(false);
    await user.click(screen.getAllByRole('option')[1]!);
    expect(materials()[0]).not.toBe(demo.assemblies[0]!.plates.rings[0]!.materialId);
  });

  it('says nothing of heights while nobody has worked them out', () => {
    showLit(null);
    shown();
    expect(screen.getByRole('list').textContent).not.toContain(' to ');
  });
});

describe('plates', () => {
  const shown = () =>
    render(
      <InShop>
        <PlatesStep />
      </InShop>,
    );

  it('ask for a corner of a rectangle alone, and for no height of what is drawn', () => {
    shown();
    expect(screen.queryByLabelText('Corner radius')).toBeNull();
    expect(screen.getByLabelText('Plates, height')).toBeTruthy();
    changed({ plates: { ...now().plates, shape: 'rectangle' } });
    expect(screen.getByLabelText<HTMLInputElement>('Corner radius').value).toBe('0 mm');
    const drawing = { name: 'gable.svg', scale: 1, rings: [[0, 0, 200, 0, 100, 150]] };
    changed({ plates: { ...now().plates, shape: 'drawing', drawing } });
    expect(screen.queryByLabelText('Plates, height')).toBeNull();
    expect(screen.getByLabelText('Outline').textContent).toBe('as gable.svg');
  });

  it('offer the outline of a drawing only once there is one', async () => {
    const user = userEvent.setup();
    shown();
    await user.click(screen.getByLabelText('Outline'));
    expect(screen.getAllByRole('option').map(({ textContent }) => textContent)).toEqual([
      'round or oval',
      'a rectangle',
    ]);
    await user.click(screen.getByRole('option', { name: 'a rectangle' }));
    expect(now().plates.shape).toBe('rectangle');
  });

  it('tell how thick they are in all, and how much of that is room', () => {
    shown();
    const { outside, roomMm } = own.geometry;
    expect(screen.getByText(new RegExp(`^${outside.depthMm} mm thick in all, ${roomMm} mm between`))).toBeTruthy();
  });
});

describe('the lid', () => {
  const shown = () =>
    render(
      <InShop>
        <LidStep />
      </InShop>,
    );

  it('tells what is seen of letters, of each band and of the wall, and where the light goes', () => {
    shown();
    const told = rows();
    const { glow } = own;
    expect(told).toContain(`letters, mean${Math.round(glow.lettersCdM2).toLocaleString('en')} cd/m²`);
    for (const { index, meanCdM2 } of glow.bands)
      expect(told).toContain(`edge of ring ${index + 1}${Math.round(meanCdM2).toLocaleString('en')} cd/m²`);
    expect(told).toContain(`wall beside it, at most${glow.wallCdM2.toFixed(1)} cd/m²`);
    const lumens = told
      .filter((row) => row.endsWith(' lm'))
      .map((row) => Number(/([\d.,]+) lm$/.exec(row.replace(',', ''))![1]));
    // What comes out and what stays makes up what the LEDs give.
    expect(lumens[1]! + lumens[2]!).toBeGreaterThan(0.98 * lumens[0]! - 2);
    expect(lumens[1]! + lumens[2]!).toBeLessThan(1.02 * lumens[0]! + 2);
  });

  it('shows its fields, and no figures, before anything is lit', () => {
    showLit(null);
    shown();
    expect(screen.getByLabelText('Lid')).toBeTruthy();
    expect(screen.queryByText('What is seen')).toBeNull();
  });

  it('keeps letters over their pockets by hand, or as is usual once it is empty', async () => {
    const user = userEvent.setup();
    shown();
    const over = () => screen.getByLabelText<HTMLInputElement>('Over their pockets');
    expect(screen.getByText(/empty: as is usual \(-?\d\.\d\d mm\); negative is loose/)).toBeTruthy();
    await user.clear(over());
    await user.type(over(), '0.2{Enter}');
    expect(now().lid.inlay.overMm).toBe(0.2);
    await user.clear(over());
    await user.type(over(), '{Enter}');
    expect(now().lid.inlay.overMm ?? null).toBeNull();
  });
});

describe('the light of a stack', () => {
  const shown = () =>
    render(
      <InShop>
        <LightStep />
      </InShop>,
    );

  it('asks how far in a ledge stands only where strip stands on one', () => {
    changed({ light: { ...now().light, facing: 'in' } });
    shown();
    expect(screen.queryByLabelText('Ledge from the rings')).toBeNull();
    changed({ light: { ...now().light, facing: 'both' } });
    expect(screen.getByLabelText('Ledge from the rings')).toBeTruthy();
  });

  it('lists its loops with their strip and their height', () => {
    shown();
    const told = rows().slice(1);
    expect(told).toHaveLength(own.runs.segments.length);
    own.runs.segments.forEach(({ number }, at) => expect(told[at]!.startsWith(String(number))).toBe(true));
    expect(screen.getByText(/on edge it takes \d+(\.\d)? mm of \d+(\.\d)? mm between base and lid/)).toBeTruthy();
  });

  it('takes loops within what may be, and says so otherwise', async () => {
    const user = userEvent.setup();
    shown();
    const loops = () => screen.getByLabelText<HTMLInputElement>('Loops');
    const before = now().light.loops;
    await user.clear(loops());
    await user.type(loops(), '40{Enter}');
    expect(now().light.loops).toBe(before);
    expect(loops().getAttribute('aria-invalid')).toBe('true');
    await user.clear(loops());
    await user.type(loops(), '2{Enter}');
    expect(now().light.loops).toBe(2);
  });

  it('offers strip, and no modules, which do not go round', async () => {
    const user = userEvent.setup();
    shown();
    await user.click(screen.getByLabelText('Strip'));
    const names = screen.getAllByRole('option').map(({ textContent }) => textContent);
    expect(names.length).toBeGreaterThan(3);
    expect(names.some((name) => /module/i.test(name))).toBe(false);
  });
});
