import { beforeEach, describe, expect, it, jest } from '@jest/globals';
import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import {
  demoDesigns,
  faceOptions,
  fieldsOf,
  set,
  shippedCatalogue,
  type Demand,
  type LightboxAssembly,
  type Solution,
  type TryPoint,
} from '@vitrum/core';
import { useDocument } from '../document/document-store';
import { typedIn, typeInto } from '../testing/fields';
import { openDesign } from '../testing/open-design';
import { useView } from '../view/view-store';
import type { TryoutsLink } from './connect-tryouts';
import type { PlanDraft } from './plan-form';
import { TryoutsPanel } from './tryouts-panel';
import { beginRun, clearTryouts, endRun, progressTo, stoppedWords, useTryouts } from './tryouts-store';

const demo = demoDesigns.dispensary;
const box = fieldsOf<LightboxAssembly>('assemblies.0');
const faces = faceOptions(demo, 0, shippedCatalogue);
const linings = shippedCatalogue.linings;
const draft: PlanDraft = {
  fromMm: 40,
  toMm: 100,
  stepMm: 20,
  fewestRows: 2,
  mostRows: 3,
  faces: [faces[0]!.name],
  linings: [linings[0]!.id],
};
const point = (id: number, rest: Partial<TryPoint> = {}): TryPoint => ({
  id,
  change: [set(box.case.depthInsideMm, 40 + id)],
  depthMm: 40 + id,
  rows: 2,
  face: 'Opal',
  lining: 'White',
  ledCount: 60,
  costPerSign: 200 - id,
  minOverMean: 0.8,
  meanCdM2: 300,
  visibility: 0.5,
  litOverUnlit: 4,
  fails: [],
  picture: {} as TryPoint['picture'],
  ...rest,
});
const depth = (): number => (useDocument.getState().design!.assemblies[0] as LightboxAssembly).case.depthInsideMm;
const button = (name: string | RegExp) => screen.getByRole<HTMLButtonElement>('button', { name });

const link = {
  sweep: jest.fn(),
  sweepOnServer: jest.fn<TryoutsLink['sweepOnServer']>(() => Promise.resolve()),
  solve: jest.fn(),
  cancel: jest.fn(),
};
beforeEach(() => {
  jest.clearAllMocks();
  openDesign(demo);
  clearTryouts('job');
  useView.setState({ unit: 'mm' });
});
const show = (): void =>
  void render(
    <TryoutsPanel
      link={link as unknown as TryoutsLink}
      currency="€"
      draft={draft}
      options={{ assembly: 0, faces, linings }}
      rowsWord="Rows"
    />,
  );

describe('what is tried', () => {
  it('is every depth with every count, face and lining, and how many that comes to', async () => {
    const user = userEvent.setup();
    show();
    expect(screen.getByText('8 combinations')).toBeTruthy();
    await user.click(screen.getByRole('checkbox', { name: faces[1]!.name }));
    expect(screen.getByText('16 combinations')).toBeTruthy();
    await user.click(button('Try them all'));
    expect(link.sweep).toHaveBeenCalledWith(
      demo,
      {
        assembly: 0,
        depthsMm: [40, 60, 80, 100],
        rowCounts: [2, 3],
        faces: faces.slice(0, 2),
        liningIds: [linings[0]!.id],
      },
      16,
    );
  });

  it('goes on the server, where one says so', async () => {
    const user = userEvent.setup();
    show();
    await user.click(button('On the server'));
    expect(link.sweepOnServer).toHaveBeenCalledWith(demo, expect.objectContaining({ depthsMm: [40, 60, 80, 100] }));
    expect(link.sweep).not.toHaveBeenCalled();
  });

  it.each([
    ['Step', '0', 'must be above 0'],
    ['Depth to', 'deep', 'is not a length'],
    ['Rows from', '1.5', 'a whole number from 1 to 60'],
    ['Rows to', '61', 'a whole number from 1 to 60'],
  ])('refuses “%s” of “%s” beside it', async (label, text, told) => {
    show();
    await typeInto(label, text);
    expect(screen.getByRole('alert').textContent).toMatch(told === 'is not a length' ? /\S/ : told);
    expect(screen.getByText('8 combinations')).toBeTruthy();
  });

  it('is nothing where its bounds are the wrong way round or nothing is ticked', async () => {
    const user = userEvent.setup();
    show();
    await typeInto('Depth from', '4 in');
    expect(typedIn('Depth from')).toBe('101.6 mm');
    expect(screen.getByText('0 combinations')).toBeTruthy();
    await typeInto('Depth from', '40');
    await user.click(screen.getByRole('checkbox', { name: faces[0]!.name }));
    expect(screen.getByText('0 combinations')).toBeTruthy();
  });
});

describe('what is looked for', () => {
  it.each([
    ['Shallowest', 'shallowest'],
    ['Fewest LEDs', 'fewest LEDs'],
    ['Cheapest', 'cheapest'],
  ])('“%s” within the bounds', async (name, goal) => {
    const user = userEvent.setup();
    show();
    await user.click(button(name));
    expect(link.solve).toHaveBeenCalledWith(
      demo,
      goal,
      expect.objectContaining({ fewestRows: 2, mostRows: 3, shallowestMm: 40, deepestMm: 100 }),
    );
  });

  it('is said in a sentence, and taken at a click', async () => {
    const user = userEvent.setup();
    const solution: Solution = {
      goal: 'shallowest',
      point: point(13),
      binding: [],
      tried: 34,
      sentence: '53 mm will do.',
    };
    useTryouts.setState({ solution });
    show();
    expect(screen.getByTestId('solution').textContent).toContain('53 mm will do.34 designs tried');
    await user.click(button('Take it'));
    expect(depth()).toBe(53);
  });

  it('that cannot be has nothing to take', () => {
    const solution: Solution = { goal: 'cheapest', point: null, binding: [], tried: 34, sentence: 'None will do.' };
    useTryouts.setState({ solution });
    show();
    expect(screen.getByTestId('solution').textContent).toContain('None will do.');
    expect(screen.queryByRole('button', { name: 'Take it' })).toBeNull();
  });
});

describe('what was found', () => {
  const list = () => within(screen.getByTestId('short-list')).getAllByRole('listitem');

  it('is listed with what will do first, the cheapest of it first, and six at the most', () => {
    const fails = ['dots'] as unknown as readonly Demand[];
    useTryouts.setState({ points: [point(1, { fails }), ...[2, 3, 4, 5, 6, 7, 8].map((id) => point(id))] });
    show();
    expect(screen.getByRole('heading', { name: 'Will do, cheapest first' })).toBeTruthy();
    expect(list()).toHaveLength(6);
    expect(list()[0]!.textContent).toContain('48 mm · 2 rows · €192.00');
    expect(list().every(({ textContent }) => !textContent.includes('fails'))).toBe(true);
  });

  it('says so where none will do, and shows those that come closest', () => {
    const fails = ['dots', 'dim'] as unknown as readonly Demand[];
    useTryouts.setState({ points: [point(1, { fails }), point(2, { fails: fails.slice(1), rows: 1 })] });
    show();
    expect(screen.getByRole('heading', { name: 'None will do; these come closest' })).toBeTruthy();
    expect(list().map(({ textContent }) => textContent)).toEqual([
      expect.stringContaining('1 row · €198.00 · fails 1'),
      expect.stringContaining('fails 2'),
    ]);
  });

  it('is taken at a click, as one edit', async () => {
    const user = userEvent.setup();
    useTryouts.setState({ points: [point(20)] });
    show();
    await user.click(button('Take Opal, 60 mm, 2 rows'));
    expect(depth()).toBe(60);
    expect(useDocument.getState().save.kind).toBe('unsaved');
  });
});

describe('a run', () => {
  it('tells how far it is, keeps others waiting and can be stopped; what was found stays', async () => {
    const user = userEvent.setup();
    beginRun({ kind: 'sweep', done: 0, of: 8 }, { points: [] });
    useTryouts.setState({ points: [point(1)] });
    progressTo(3);
    show();
    expect(screen.getByRole('status').textContent).toContain('3 of 8');
    expect(button('Try them all').disabled).toBe(true);
    expect(button('Cheapest').disabled).toBe(true);
    link.cancel.mockImplementation(() => endRun(stoppedWords));
    await user.click(button('Stop'));
    expect(screen.getByRole('alert').textContent).toBe(stoppedWords);
    expect(screen.getByTestId('short-list')).toBeTruthy();
    expect(button('Try them all').disabled).toBe(false);
  });

  it('that the page began by itself keeps nobody waiting', () => {
    beginRun({ kind: 'sweep', done: 1, of: 8, asOpened: true }, {});
    show();
    expect(button('Try them all').disabled).toBe(false);
  });

  it('on the server says that it is there; a search says how many it tried', () => {
    beginRun({ kind: 'sweep', done: 2, of: 500, onServer: 'run-1' }, {});
    show();
    expect(screen.getByRole('status').textContent).toContain('2 of 500 on the server');
  });

  it('of a search counts what was tried', () => {
    beginRun({ kind: 'solve', done: 17, goal: 'cheapest' }, {});
    show();
    expect(screen.getByRole('status').textContent).toContain('17 tried');
  });
});
