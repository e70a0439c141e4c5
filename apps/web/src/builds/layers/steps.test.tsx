import { afterEach, beforeAll, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { fireEvent, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import {
  capital,
  demoDesigns,
  mostSheets,
  type Evaluation,
  type LayersAssembly,
  type LayersResults,
} from '@vitrum/core';
import { act } from 'react';
import { setDesign, undo, useDocument } from '../../document/document-store';
import { sliceDrawing } from '../../slice/slice-drawing';
import { InShop, litOf, showLit } from '../../testing/lit';
import { openDesign } from '../../testing/open-design';
import { useView } from '../../view/view-store';
import { workers } from '../../workers/clients';
import { chooseSheet, useChosenSheet } from './chosen-sheet';
import { LookStep } from './look-step';
import { SceneSheets } from './scene-sheets';
import { SliceSheets } from './slice-sheets';

const demo = demoDesigns['reed-bed'];
let evaluation: Evaluation;
let own: LayersResults;
beforeAll(async () => {
  evaluation = await litOf(demo);
  own = evaluation.assemblies[0] as unknown as LayersResults;
});
beforeEach(() => {
  openDesign(demo);
  showLit(evaluation);
  chooseSheet(null);
  useView.setState({ unit: 'mm' });
  // There are no threads here; a file is never laid open.
  jest.spyOn(workers.intake, 'hold').mockImplementation(() => () => undefined);
});
afterEach(() => void jest.restoreAllMocks());

const now = () => useDocument.getState().design!.assemblies[0] as LayersAssembly;
const sheets = () => now().scene.sheets;
const heightOf = (id: string): number => sheets().find((sheet) => sheet.id === id)!.heightMm;
const setSheets = (next: LayersAssembly['scene']['sheets']): void =>
  void act(() => setDesign({ ...demo, assemblies: [{ ...now(), scene: { ...now().scene, sheets: next } }] }));
const button = (name: string | RegExp) => screen.getByRole<HTMLButtonElement>('button', { name });

describe('the sheets of a scene', () => {
  const shown = () =>
    render(
      <InShop>
        <SceneSheets>
          <p>how letters are set</p>
        </SceneSheets>
      </InShop>,
    );
  const names = () =>
    within(screen.getByRole('list', { name: 'Sheets' }))
      .getAllByRole('button')
      .map(({ textContent }) => textContent);

  it('stand in a list from the front to the back, each with where its rear side comes to', () => {
    shown();
    const told = [...own.scene.sheets].reverse().map(({ sheet, rearZMm }) => `${sheet.name}${rearZMm} mm`);
    expect(names()).toEqual(told);
    expect(button(/^Bank/).getAttribute('aria-pressed')).toBe('true');
  });

  it('show the fields of the one that is chosen', async () => {
    const user = userEvent.setup();
    shown();
    await user.click(button(/^Otter/));
    expect(screen.getByLabelText<HTMLInputElement>('Called').value).toBe('Otter');
    expect(button(/^Otter/).getAttribute('aria-pressed')).toBe('true');
    expect(button(/^Bank/).getAttribute('aria-pressed')).toBe('false');
  });

  it('change places by their heights, and stay where there is no neighbour', async () => {
    const user = userEvent.setup();
    shown();
    expect(button('Forward').disabled).toBe(true);
    await user.click(button(/^Otter/));
    const [otter, reeds] = [heightOf('otter'), heightOf('near-reeds')];
    await user.click(button('Forward'));
    expect([heightOf('otter'), heightOf('near-reeds')]).toEqual([reeds, otter]);
    await user.click(button('Back'));
    expect([heightOf('otter'), heightOf('near-reeds')]).toEqual([otter, reeds]);
    await user.click(button(/^Far bank/));
    expect(button('Back').disabled).toBe(true);
  });

  it('are copied, added and taken away, the new one chosen, each one step of undo', async () => {
    const user = userEvent.setup();
    shown();
    await user.click(button(/^Otter/));
    await user.click(button('Copy'));
    expect(sheets()).toHaveLength(6);
    expect(screen.getByLabelText<HTMLInputElement>('Called').value).toBe('Otter 2');
    await user.click(button('Take away'));
    expect(sheets()).toEqual(demo.assemblies[0]!.scene.sheets);
    await user.click(button('Another sheet'));
    expect(sheets().at(-1)!.shape).toBe('window');
    act(undo);
    expect(sheets()).toHaveLength(5);
  });

  it('are no more than a scene may have', () => {
    const [sheet] = sheets();
    setSheets(Array.from({ length: mostSheets }, (_, at) => ({ ...sheet!, id: `s${at}`, heightMm: at })));
    shown();
    expect(button('Another sheet').disabled).toBe(true);
    expect(button('Copy').disabled).toBe(true);
  });

  it('ask how letters are set only where letters are cut', () => {
    shown();
    expect(screen.queryByText('how letters are set')).toBeNull();
    setSheets(sheets().map((sheet) => (sheet.id === 'otter' ? { ...sheet, shape: 'lettered' as const } : sheet)));
    expect(screen.getByText('how letters are set')).toBeTruthy();
  });

  it('may all be gone', () => {
    setSheets([]);
    shown();
    expect(screen.queryByRole('button', { name: 'Take away' })).toBeNull();
    expect(button('Another sheet').disabled).toBe(false);
  });

  it('go into combs on the floor, which the box gets with the first, and which say how they are cut', async () => {
    const user = userEvent.setup();
    shown();
    await user.click(button(/^Near reeds/));
    expect(screen.queryByRole('region', { name: 'Combs' })).toBeNull();
    await user.click(screen.getByLabelText('Held by'));
    await user.click(screen.getByRole('option', { name: 'combs on the floor' }));
    expect(sheets().find(({ id }) => id === 'near-reeds')!.held).toBe('combs');
    expect(now().scene.combs).toEqual({ materialId: 'ply-3', highMm: 16, insetMm: 115 });
    const combs = within(screen.getByRole('region', { name: 'Combs' }));
    const narrower = combs.getByLabelText('Slots narrower by');
    await user.type(narrower, '0.1{Enter}');
    expect(now().scene.combs!.overMm).toBe(0.1);
    // In one step with the sheet: undone together.
    act(undo);
    act(undo);
    expect(now().scene.combs).toBeUndefined();
    expect(sheets().find(({ id }) => id === 'near-reeds')!.held).toBeUndefined();
  });

  describe('one of them', () => {
    const choose = async (user: ReturnType<typeof userEvent.setup>, field: string, option: RegExp | string) => {
      await user.click(screen.getByLabelText(field));
      await user.click(screen.getByRole('option', { name: option }));
    };

    it('keeps its name where nothing is typed', async () => {
      const user = userEvent.setup();
      shown();
      const called = screen.getByLabelText('Called');
      await user.clear(called);
      await user.keyboard('{Enter}');
      expect(screen.getByText('a sheet wants a name')).toBeTruthy();
      expect(sheets().at(-1)!.name).toBe('Bank');
      await user.type(called, '  Near bank {Enter}');
      expect(sheets().at(-1)!.name).toBe('Near bank');
    });

    it('has a border as a window, a drawing as a drawing, and a place where it can be moved', async () => {
      const user = userEvent.setup();
      shown();
      expect(screen.getByLabelText('Border')).toBeTruthy();
      expect(screen.queryByLabelText('Moved right')).toBeNull();
      await choose(user, 'Shape', 'letters');
      expect(screen.queryByLabelText('Border')).toBeNull();
      expect(screen.getByLabelText('Moved right')).toBeTruthy();
      // Letters are painted: a print would be cut to pieces.
      expect(screen.queryByRole('heading', { name: 'Or a print on its front' })).toBeNull();
      await choose(user, 'Shape', 'a drawing');
      expect(screen.getByText('no drawing yet')).toBeTruthy();
    });

    it('takes letters let in, how tight they are, and lets them go again', async () => {
      const user = userEvent.setup();
      shown();
      await choose(user, 'Shape', 'letters cut out of it');
      expect(screen.queryByLabelText('Over their pockets')).toBeNull();
      await choose(user, 'Letters let in', 'Opal acrylic 3 mm');
      expect(sheets().at(-1)!.inlay?.materialId).toMatch(/^opal/);
      expect(screen.getByLabelText('Over their pockets')).toBeTruthy();
      await choose(user, 'Letters let in', /^none/);
      expect(sheets().at(-1)!.inlay).toBeNull();
    });

    it('is painted unless a print lies on it', async () => {
      const user = userEvent.setup();
      shown();
      expect(screen.getByLabelText('Front')).toBeTruthy();
      setSheets(
        sheets().map((sheet) => ({
          ...sheet,
          picture: { name: 'shore.jpg', columns: 2, rows: 2, rgb: 'AAAAAAAAAAAAAAAA' },
        })),
      );
      expect(screen.queryByLabelText('Front')).toBeNull();
      expect(screen.getByRole('heading', { name: 'shore.jpg' })).toBeTruthy();
      await user.click(button('Take it off'));
      expect(sheets().at(-1)!.picture ?? null).toBeNull();
      expect(screen.getByLabelText('Front')).toBeTruthy();
    });

    it('is white behind unless it is asked to be as its front', async () => {
      const user = userEvent.setup();
      shown();
      expect(screen.getByLabelText('Rear side').textContent).toBe('white, so that light bounces');
      await choose(user, 'Rear side', 'as its front');
      expect(sheets().at(-1)!.whiteBehind).toBe(false);
    });

    it('tells the spacers that carry it, and where its height comes to', () => {
      shown();
      const standing = own.scene.sheets.at(-1)!;
      const spacers = standing.carried.flatMap(({ posts }) => posts).length;
      expect(screen.getByText(new RegExp(`^${spacers} spacers: `))).toBeTruthy();
    });
  });
});

describe('how a scene looks', () => {
  const shown = () =>
    render(
      <InShop>
        <LookStep />
      </InShop>,
    );
  const table = (which: number): readonly string[] =>
    within(screen.getAllByRole('table')[which]!)
      .getAllByRole('row')
      .slice(1)
      .map(({ textContent }) => textContent);

  it('tells of every layer how much is seen of it and how it shines, the foremost first', () => {
    shown();
    const { seen } = own.glow;
    const told = table(0);
    expect(told).toHaveLength(seen.length);
    [...seen].reverse().forEach(({ name, meanLux, seenShare }, at) => {
      expect(told[at]!.startsWith(`${capital(name)}${Math.round(100 * seenShare)} %`)).toBe(true);
      expect(told[at]).toContain(`${Math.round(meanLux).toLocaleString('en')} lx`);
    });
    // The opening is shared out among what is seen through it.
    expect(seen.reduce((sum, { seenShare }) => sum + seenShare, 0)).toBeCloseTo(1, 2);
  });

  it('tells edges between layers, the weakest first', () => {
    shown();
    const weight = (row: string): number =>
      Math.max(...[...row.matchAll(/(\d+) %/g)].map(([, share]) => Number(share)));
    const told = table(1).map(weight);
    expect(told).toHaveLength(own.glow.steps.length);
    expect([...told].sort((a, b) => a - b)).toEqual(told);
  });

  it('offers fronts that are clear, and no others', async () => {
    const user = userEvent.setup();
    shown();
    await user.click(screen.getByLabelText('Clear front'));
    const names = screen.getAllByRole('option').map(({ textContent }) => textContent);
    expect(names.length).toBeGreaterThan(0);
    expect(names.some((name) => /opal/i.test(name))).toBe(false);
  });

  it('has a trim from a board, as wide as is asked for within the returns, or none', async () => {
    const user = userEvent.setup();
    shown();
    expect(screen.queryByLabelText('Trim, wide')).toBeNull();
    await user.click(screen.getByLabelText('Trim round the front'));
    await user.click(screen.getByRole('option', { name: /^Birch plywood 6 mm/ }));
    expect(now().trim).toEqual({ materialId: 'ply-6', widthMm: 12 });
    const wide = screen.getByLabelText('Trim, wide');
    await user.clear(wide);
    await user.type(wide, '10{Enter}');
    expect(now().trim!.widthMm).toBe(10);
    await user.click(screen.getByLabelText('Trim round the front'));
    await user.click(screen.getByRole('option', { name: 'none' }));
    expect(now().trim).toBeNull();
  });

  it('is hidden from as far aside as is asked, up to 60°', async () => {
    const user = userEvent.setup();
    shown();
    const field = screen.getByLabelText<HTMLInputElement>('Hidden from');
    await user.clear(field);
    await user.type(field, '75{Enter}');
    expect(now().scene.viewDeg ?? null).toBeNull();
    expect(field.getAttribute('aria-invalid')).toBe('true');
    await user.clear(field);
    await user.type(field, '40{Enter}');
    expect(now().scene.viewDeg).toBe(40);
  });

  it('shows its fields alone before anything is lit', () => {
    showLit(null);
    shown();
    expect(screen.getByLabelText('Clear front')).toBeTruthy();
    expect(screen.queryByRole('table')).toBeNull();
  });
});

describe('handles of sheets beside the slice', () => {
  const hold = jest.fn<(scale: number | null) => void>();
  const shown = () => {
    hold.mockClear();
    const drawing = sliceDrawing(own.section, { width: 600, height: 300 }, null);
    render(
      <svg>
        <SliceSheets own={evaluation.assemblies[0]!} drawing={drawing} hold={hold} />
      </svg>,
    );
    return drawing;
  };
  const handle = (name: string) => screen.getByRole('slider', { name: `${name} stands at` });
  // The made-up document has no pointer events of its own.
  const pointer = (type: string, on: Element, clientY: number): void => {
    const event = new MouseEvent(type, { bubbles: true, clientY });
    Object.defineProperty(event, 'pointerId', { value: 1 });
    fireEvent(on, event);
  };

  it('say where each sheet stands, in the unit of the page, and choose it', () => {
    shown();
    expect(screen.getAllByRole('slider')).toHaveLength(5);
    expect(handle('Otter').getAttribute('aria-valuetext')).toBe('33 mm');
    act(() => handle('Otter').focus());
    expect(useChosenSheet.getState().id).toBe('otter');
    void act(() => useView.setState({ unit: 'in' }));
    expect(handle('Otter').getAttribute('aria-valuetext')).toMatch(/in$|"$|″$/);
  });

  it('go toward the front with the arrow up, ten times as far with Shift, and no farther than there is room', async () => {
    const user = userEvent.setup();
    shown();
    act(() => handle('Otter').focus());
    await user.keyboard('{ArrowUp}');
    expect(heightOf('otter')).toBe(33.5);
    await user.keyboard('{Shift>}{ArrowDown}{/Shift}');
    expect(heightOf('otter')).toBe(28.5);
    for (let press = 0; press < 12; press += 1) await user.keyboard('{Shift>}{ArrowUp}{/Shift}');
    expect(heightOf('otter')).toBe(Number(handle('Otter').getAttribute('aria-valuemax')));
    for (let press = 0; press < 20; press += 1) await user.keyboard('{Shift>}{ArrowDown}{/Shift}');
    expect(heightOf('otter')).toBe(0);
  });

  it('drag a sheet past another in one step of undo, the scale held meanwhile', () => {
    const { scale } = shown();
    pointer('pointerdown', handle('Otter'), 100);
    expect(hold).toHaveBeenLastCalledWith(scale);
    pointer('pointermove', handle('Otter'), 100 - 5 * scale);
    pointer('pointermove', handle('Otter'), 100 - 16 * scale);
    expect(heightOf('otter')).toBeCloseTo(49, 0);
    pointer('pointerup', handle('Otter'), 0);
    expect(hold).toHaveBeenLastCalledWith(null);
    expect(heightOf('otter')).toBeGreaterThan(heightOf('near-reeds'));
    act(undo);
    expect(heightOf('otter')).toBe(33);
  });

  it('let go where it was with Escape', () => {
    const { scale } = shown();
    pointer('pointerdown', handle('Otter'), 100);
    pointer('pointermove', handle('Otter'), 100 - 5 * scale);
    fireEvent.keyDown(handle('Otter'), { key: 'Escape' });
    expect(heightOf('otter')).toBe(33);
    expect(hold).toHaveBeenLastCalledWith(null);
    // Once it is let go, moving about changes nothing.
    pointer('pointermove', handle('Otter'), 0);
    expect(heightOf('otter')).toBe(33);
  });
});
