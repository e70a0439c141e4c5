import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ImportReport, ShelfItemView } from '@vitrum/contract';
import { shippedCatalogue, usualColours, wordsOf, type CatalogueKind, type ShelfItem } from '@vitrum/core';
import { MemoryRouter } from 'react-router';
import { fakeServer, problem, type Asked, type Said } from '../testing/fake-server';
import { choose } from '../testing/fields';
import { ImportDialog } from './import-dialog';
import { ItemDialog, type ItemTask } from './item-dialog';
import { SettingsDialog } from './settings-dialog';
import { ShelfPage } from './shelf-page';

let server: ReturnType<typeof fakeServer>;
let answer: (asked: Asked) => Said;
const kind: CatalogueKind = 'spacers';
const spacer: ShelfItem = shippedCatalogue.spacers[0]!;
const view: ShelfItemView = { kind, item: spacer, version: 4, jobs: 2 };
const inPage = (children: React.ReactNode): void =>
  void render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter>{children}</MemoryRouter>
    </QueryClientProvider>,
  );
const sent = (method: string): Asked | undefined => server.asked.find((each) => each.method === method);
const retype = async (label: string | RegExp, text: string): Promise<void> => {
  const user = userEvent.setup();
  const field = await screen.findByLabelText(label);
  await user.clear(field);
  if (text !== '') await user.type(field, text);
};

beforeEach(() => {
  answer = () => [200, shippedCatalogue];
  server = fakeServer((asked) => answer(asked));
});
afterEach(() => {
  server.end();
  jest.restoreAllMocks();
});

describe('the form of an item', () => {
  const open = (task: ItemTask) => {
    const onDone = jest.fn();
    inPage(<ItemDialog task={task} currency="€" onClose={() => undefined} onDone={onDone} />);
    return onDone;
  };

  it('asks for every figure of its kind, with what each means', async () => {
    open({ does: 'add', kind });
    const sheet = await screen.findByRole('dialog', { name: `A new ${wordsOf(kind).one}` });
    for (const { label, what, form } of wordsOf(kind).fields)
      if (form !== 'choices') {
        expect(within(sheet).getByLabelText(label)).toBeTruthy();
        expect(within(sheet).getAllByText(new RegExp(what.slice(0, 20).replace(/[().*+?]/g, '.'))).length).toBeTruthy();
      }
  });

  it('is sent once all is there: until then each figure says what it may be, and nothing is asked of the server', async () => {
    const user = userEvent.setup();
    const onDone = open({ does: 'add', kind });
    await user.click(await screen.findByRole('button', { name: 'Put it on the shelf' }));
    expect((await screen.findAllByRole('alert')).length).toBeGreaterThan(0);
    expect(screen.getByText(/figures? (is|are) not right yet/)).toBeTruthy();
    expect(server.asked).toHaveLength(0);
    expect(onDone).not.toHaveBeenCalled();
  });

  it('of a copy has all the figures of the first and a name of its own', async () => {
    const user = userEvent.setup();
    answer = () => [201, { ...spacer, name: 'Mine' }];
    const onDone = open({ does: 'copy', kind, item: spacer });
    const name = await screen.findByLabelText<HTMLInputElement>('Name');
    expect(name.value).toBe(`${spacer.name}, own`);
    await retype('Name', 'Mine');
    await user.click(screen.getByRole('button', { name: 'Put it on the shelf' }));
    await waitFor(() => expect(onDone).toHaveBeenCalledWith('Mine is on the shelf.'));
    const { path, body } = sent('POST')!;
    expect(path).toBe(`/api/catalogue/${kind}/items`);
    expect(body).toMatchObject({ copyOf: spacer.id, figures: { name: 'Mine' } });
  });

  it('of a change sends what was changed alone, from the version that was looked at', async () => {
    const user = userEvent.setup();
    answer = ({ method }) => [200, method === 'GET' ? view : { item: { ...spacer, name: 'Longer' }, kept: spacer }];
    const onDone = open({ does: 'change', kind, item: spacer });
    expect(await screen.findByText(/2 jobs have it and keep it as it is/)).toBeTruthy();
    await retype('Name', 'Longer');
    await user.click(screen.getByRole('button', { name: 'Change it' }));
    await waitFor(() => expect(onDone).toHaveBeenCalled());
    expect(onDone.mock.calls[0]![0]).toMatch(/^Longer is changed for designs to come; those that have it keep it/);
    expect(sent('PUT')!.body).toEqual({ figures: { name: 'Longer' } });
    expect(sent('PUT')!.headers.get('if-match')).toBe('"4"');
  });

  it('puts what the server will not have beside its figure, and keeps all that was typed', async () => {
    const user = userEvent.setup();
    answer = ({ method }) =>
      method === 'GET' ? [200, view] : problem(422, 'there is one of that name already', 'figures.name');
    const onDone = open({ does: 'change', kind, item: spacer });
    await retype('Name', 'Taken');
    await user.click(screen.getByRole('button', { name: 'Change it' }));
    expect((await screen.findAllByText('there is one of that name already')).length).toBeGreaterThan(0);
    const name = screen.getByLabelText<HTMLInputElement>('Name');
    expect([name.value, name.getAttribute('aria-invalid')]).toEqual(['Taken', 'true']);
    expect(onDone).not.toHaveBeenCalled();
  });

  it('says when the server is away', async () => {
    const user = userEvent.setup();
    answer = ({ method }) => (method === 'GET' ? [200, view] : [503, {}]);
    open({ does: 'change', kind, item: spacer });
    await retype('Name', 'Longer');
    await user.click(screen.getByRole('button', { name: 'Change it' }));
    expect(await screen.findByText(/what you typed is still here/)).toBeTruthy();
  });
});

describe('a list that comes from a file', () => {
  const report: ImportReport = {
    added: [{ id: 'a', name: 'Spacer A' }],
    changed: [{ id: 'b', name: 'Spacer B', differences: [{ label: 'Price', before: '1', after: '2' }] }],
    same: 3,
    unknownColumns: ['colour of the box'],
    complaints: [
      { line: 7, message: 'length: not a number' },
      { line: 7, message: 'price: not a number' },
      { line: 9, message: 'a name is missing' },
    ],
    applied: false,
  } as unknown as ImportReport;
  const open = (of: ImportReport = report) => {
    const [onDone, onClose] = [jest.fn(), jest.fn()];
    inPage(
      <ImportDialog
        file={{ kind, name: 'spacers.csv', text: 'name;price', report: of }}
        onClose={onClose}
        onDone={onDone}
      />,
    );
    return { onDone, onClose };
  };

  it('is told line by line before anything is taken', async () => {
    open();
    const sheet = await screen.findByRole('dialog');
    expect(sheet.textContent).toContain('1 new, 1 changed, 3 as they were, 2 lines not understood');
    expect(
      within(sheet)
        .getByText(/line 7/)
        .closest('li')!.textContent,
    ).toContain('length: not a number; price: not a number');
    expect(sheet.textContent).toContain('passed over: colour of the box');
    expect(sheet.textContent).toContain('Spacer B: price 1 → 2');
    expect(server.asked).toHaveLength(0);
  });

  it('is taken as a whole, and what came of it is said', async () => {
    const user = userEvent.setup();
    answer = () => [200, { ...report, applied: true }];
    const { onDone } = open();
    await user.click(await screen.findByRole('button', { name: 'Take all 2' }));
    await waitFor(() => expect(onDone).toHaveBeenCalledWith('1 added and 1 changed from spacers.csv.'));
    expect(sent('POST')!.body).toEqual({ text: 'name;price', apply: true });
  });

  it('can be left, and has nothing to take where nothing is new', async () => {
    const user = userEvent.setup();
    const { onClose } = open({ ...report, added: [], changed: [] });
    expect(screen.queryByRole('button', { name: /^Take/ })).toBeNull();
    await user.click(await within(await screen.findByRole('dialog')).findByText('Close'));
    expect(onClose).toHaveBeenCalled();
  });

  it('says why it was not taken, and can be taken again', async () => {
    const user = userEvent.setup();
    answer = () => problem(409, 'the shelf was changed meanwhile');
    const { onDone } = open();
    await user.click(await screen.findByRole('button', { name: 'Take all 2' }));
    expect((await screen.findByRole('alert')).textContent).toContain('changed meanwhile');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Take all 2' }).disabled).toBe(false);
    expect(onDone).not.toHaveBeenCalled();
  });

  it('is cut short where it is long', async () => {
    open({ ...report, added: Array.from({ length: 20 }, (_, at) => ({ id: `${at}`, name: `Spacer ${at}` })) });
    expect((await screen.findByRole('region', { name: 'New' })).textContent).toContain('and 8 more');
  });
});

describe('the settings of the shop', () => {
  const { rates } = shippedCatalogue;
  const open = () => {
    const onDone = jest.fn();
    inPage(<SettingsDialog onClose={() => undefined} onDone={onDone} />);
    return onDone;
  };
  beforeEach(() => {
    answer = () => [200, { rates, version: 3 }];
  });

  it('are shown as they are, changed, and sent from the version that was looked at', async () => {
    const user = userEvent.setup();
    const onDone = open();
    await retype('Lost of sheets, %', '12,5');
    await retype(`An hour of work, ${rates.currency}`, '61');
    await user.click(screen.getByRole('button', { name: 'Keep these settings' }));
    await waitFor(() => expect(onDone).toHaveBeenCalled());
    const { body, headers } = sent('PUT')!;
    expect(body).toMatchObject({ wasteShare: 0.125, labourPerHour: 61, kerfMm: rates.kerfMm });
    expect(headers.get('if-match')).toBe('"3"');
  });

  it('wait while a figure is none, and say what it may be', async () => {
    open();
    await retype('Saw cut, mm', '25');
    expect(screen.getByRole('alert').textContent).toContain('0 to 20');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Keep these settings' }).disabled).toBe(true);
    await retype('Saw cut, mm', '3,2');
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('have a colour for each thing a machine does, and go back to the usual ones', async () => {
    const user = userEvent.setup();
    open();
    fireEvent.change(await screen.findByLabelText('Cut through'), { target: { value: '#123456' } });
    await user.click(screen.getByRole('button', { name: 'Back to the usual colours' }));
    expect(screen.getByLabelText<HTMLInputElement>('Cut through').value).toBe(usualColours.cut);
    expect(screen.queryByRole('button', { name: 'Back to the usual colours' })).toBeNull();
  });

  it('stay as typed when somebody else was first', async () => {
    const user = userEvent.setup();
    answer = ({ method }) =>
      method === 'GET' ? [200, { rates, version: 3 }] : problem(409, 'The settings were changed elsewhere');
    const onDone = open();
    await retype('Saw cut, mm', '2');
    await user.click(screen.getByRole('button', { name: 'Keep these settings' }));
    expect(await screen.findByText('The settings were changed elsewhere')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Saw cut, mm').value).toBe('2');
    expect(onDone).not.toHaveBeenCalled();
  });
});

describe('the shelf', () => {
  const title = wordsOf(kind).title;
  const section = () => screen.findByRole('region', { name: title });

  it('shows each list with how many are in it, and finds by words', async () => {
    const user = userEvent.setup();
    inPage(<ShelfPage />);
    const list = await section();
    for (const { name } of shippedCatalogue.spacers) expect(within(list).getAllByText(name).length).toBeGreaterThan(0);
    const words = screen.getByRole('searchbox');
    await user.type(words, spacer.name);
    await waitFor(() => expect(screen.queryByRole('region', { name: 'Faces' })).toBeNull());
    expect(within(await section()).getAllByText(spacer.name).length).toBeGreaterThan(0);
    await user.clear(words);
    await user.type(words, 'zzzz');
    expect(await screen.findByText('Nothing on the shelf fits “zzzz”.')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Show all of the shelf' }));
    expect(await section()).toBeTruthy();
  });

  it('retires an item and says what that means; what the server refuses is told', async () => {
    const user = userEvent.setup();
    answer = ({ method }) => (method === 'GET' ? [200, shippedCatalogue] : [200, spacer]);
    inPage(<ShelfPage />);
    await user.click(within(await section()).getByRole('button', { name: `Retire ${spacer.name}` }));
    expect((await screen.findByRole('status')).textContent).toContain(`${spacer.name} is retired`);
    expect(sent('POST')!.path).toBe(`/api/catalogue/${kind}/items/${spacer.id}/retire`);
    answer = ({ method }) => (method === 'GET' ? [200, shippedCatalogue] : problem(409, 'it is in use'));
    await user.click(within(await section()).getByRole('button', { name: `Retire ${spacer.name}` }));
    expect((await screen.findByRole('alert')).textContent).toBe('it is in use');
  });

  it('reads a file of a list and shows what it would do', async () => {
    const user = userEvent.setup();
    const read: ImportReport = {
      added: [{ id: 'a', name: 'Spacer A' }],
      changed: [],
      same: 0,
      unknownColumns: [],
      complaints: [],
      applied: false,
    };
    answer = ({ method }) => [200, method === 'GET' ? shippedCatalogue : read];
    inPage(<ShelfPage />);
    const text = 'name;price';
    // The made-up document does not read files.
    const file = Object.assign(new File([text], 'mine.csv', { type: 'text/csv' }), {
      text: () => Promise.resolve(text),
    });
    await user.upload(within(await section()).getByLabelText(/From CSV/), file);
    expect(await screen.findByRole('dialog', { name: /^mine.csv, for/ })).toBeTruthy();
    expect(sent('POST')!.body).toEqual({ text: 'name;price', apply: false });
  });

  it('opens the form of a new item from its list', async () => {
    const user = userEvent.setup();
    inPage(<ShelfPage />);
    await user.click(within(await section()).getByRole('button', { name: `Add to ${title}` }));
    expect(await screen.findByRole('dialog', { name: `A new ${wordsOf(kind).one}` })).toBeTruthy();
  });

  it('says what is wrong where the shelf cannot be had', async () => {
    answer = () => problem(500, 'the shelf fell down');
    inPage(<ShelfPage />);
    expect(await screen.findByText(/the shelf fell down/)).toBeTruthy();
  });
});

it('a field of a choice offers what may be, and none where it may be left out', async () => {
  inPage(
    <ItemDialog
      task={{ does: 'add', kind: 'supplies' }}
      currency="€"
      onClose={() => undefined}
      onDone={() => undefined}
    />,
  );
  const field = wordsOf('supplies').fields.find(({ form, choices }) => form === 'choice' && choices.length > 1)!;
  await screen.findByRole('dialog');
  await choose(field.label, field.choices[1]!);
  expect(screen.getByLabelText(field.label).textContent).toBe(field.choices[1]);
});
