import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { allBuilds, buildOf, shippedCatalogue, type Design, type SolvedSign } from '@vitrum/core';
import { act } from 'react';
import { MemoryRouter, Route, Routes, useLocation } from 'react-router';
import { fakeServer, problem, type Said } from '../testing/fake-server';
import { typedIn, typeInto } from '../testing/fields';
import { InShop } from '../testing/lit';
import { useView } from '../view/view-store';
import { workers } from '../workers/clients';
import { NewJobPage } from './new-job-page';

let server: ReturnType<typeof fakeServer>;
let created: () => Said;
let asked: jest.SpiedFunction<typeof workers.choosing.ask>;
const Where = () => <p data-testid="where">{useLocation().pathname}</p>;
const where = (): string => screen.getByTestId('where').textContent;
const open = (search = ''): void =>
  void render(
    <InShop>
      <MemoryRouter initialEntries={[`/new${search}`]}>
        <Where />
        <Routes>
          <Route path="/new" element={<NewJobPage />} />
          <Route path="*" element={null} />
        </Routes>
      </MemoryRouter>
    </InShop>,
  );
const light = () => screen.getByRole<HTMLButtonElement>('button', { name: /Light it|Choosing/ });
const madeOf = (): { readonly name: string; readonly design: Design } | undefined =>
  server.asked.find(({ method }) => method === 'POST')?.body as
    { readonly name: string; readonly design: Design } | undefined;
/** The thread answers with a design that says that it was chosen. */
const answerChoice = async (): Promise<void> => {
  await waitFor(() => expect(asked).toHaveBeenCalled());
  const { request, hear } = asked.mock.calls.at(-1)![0];
  const { design } = request as { readonly design: Design };
  const solved = { design: { ...design, solved: { sentence: 'chosen' } } } as unknown as SolvedSign;
  await act(async () => {
    hear({ kind: 'chosen', id: 1, solved });
    await Promise.resolve();
  });
};

beforeEach(() => {
  created = () => [201, { id: 'job-1' }];
  server = fakeServer(({ method }) => (method === 'POST' ? created() : [200, shippedCatalogue]));
  jest.spyOn(workers.choosing, 'setUp').mockImplementation(() => undefined);
  asked = jest.spyOn(workers.choosing, 'ask').mockImplementation(() => () => undefined);
  useView.setState({ unit: 'mm' });
});
afterEach(() => {
  server.end();
  jest.restoreAllMocks();
});

describe('a new job', () => {
  it('offers every build there is, and asks for the sizes of the one that is chosen', async () => {
    const user = userEvent.setup();
    open();
    const builds = within(screen.getByRole('radiogroup', { name: 'What is it?' })).getAllByRole('radio');
    expect(builds.map((each) => each.getAttribute('aria-label'))).toEqual(allBuilds.map(({ words }) => words.name));
    for (const { name, words } of allBuilds) {
      await user.click(screen.getByRole('radio', { name: words.name }));
      for (const { label } of buildOf({ build: name }).sizes) expect(screen.getByLabelText(label)).toBeTruthy();
    }
  });

  it.each(allBuilds.map(({ name }) => name))('of %s opens by its address with usual sizes', (build) => {
    open(`?build=${build}`);
    const { sizes, words } = buildOf({ build });
    expect(screen.getByRole('radio', { name: words.name }).getAttribute('aria-checked')).toBe('true');
    for (const { label } of sizes) expect(typedIn(label)).toMatch(/\d mm$/);
  });

  it('of a build that there is not, opens as one of the first', () => {
    open('?build=castle');
    expect(screen.getByRole('radio', { name: allBuilds[0]!.words.name }).getAttribute('aria-checked')).toBe('true');
  });

  it('is lit: what was answered goes to the thread, what it chose to the server, and the job opens', async () => {
    const user = userEvent.setup();
    open();
    await user.type(screen.getByLabelText('The sign says'), 'Bakehouse');
    await typeInto('Nearest distance', '5 m');
    await user.click(light());
    await waitFor(() => expect(light().disabled).toBe(true));
    expect(madeOf()).toBeUndefined();
    await answerChoice();
    await waitFor(() => expect(where()).toBe('/jobs/job-1/case'));
    const { name, design } = madeOf()!;
    expect(name).toBe('Bakehouse');
    expect(design.brief).toMatchObject({ text: 'Bakehouse', readingDistanceMm: 5000 });
    expect(design.solved).toEqual({ sentence: 'chosen' });
  });

  it('asks for the words before anything else, and forgets that once there are some', async () => {
    const user = userEvent.setup();
    open();
    await user.click(light());
    expect((await screen.findByRole('alert')).textContent).toContain('say what the sign says');
    expect(asked).not.toHaveBeenCalled();
    await user.type(screen.getByLabelText('The sign says'), 'B');
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('says beside a size what it may be, and waits for it', async () => {
    const user = userEvent.setup();
    open();
    await user.type(screen.getByLabelText('The sign says'), 'Bakehouse');
    const { label } = allBuilds[0]!.sizes[0]!;
    await typeInto(label, '90 m');
    await user.click(light());
    expect((await screen.findByRole('alert')).textContent).toMatch(/\d/);
    expect(asked).not.toHaveBeenCalled();
    await typeInto(label, '600');
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('waits for a length that was mistyped', async () => {
    const user = userEvent.setup();
    open();
    await user.type(screen.getByLabelText('The sign says'), 'Bakehouse');
    await typeInto('Nearest distance', 'far');
    await user.click(light());
    await act(() => Promise.resolve());
    expect(asked).not.toHaveBeenCalled();
    expect(light().disabled).toBe(false);
  });

  it('begins with usual values when the choosing is called off', async () => {
    const user = userEvent.setup();
    open();
    await user.type(screen.getByLabelText('The sign says'), 'Bakehouse');
    await user.click(light());
    await waitFor(() => expect(asked).toHaveBeenCalled());
    await user.click(screen.getByRole('button', { name: 'Begin with usual values instead' }));
    await waitFor(() => expect(where()).toBe('/jobs/job-1/case'));
    expect(madeOf()!.design.solved).toBeUndefined();
  });

  it('stays with all that was typed when the server says no, and when the thread fails', async () => {
    const user = userEvent.setup();
    created = () => problem(422, 'the design says too much');
    open();
    await user.type(screen.getByLabelText('The sign says'), 'Bakehouse');
    await user.click(light());
    await answerChoice();
    expect((await screen.findByRole('alert')).textContent).toBe('the design says too much');
    expect(typedIn('The sign says')).toBe('Bakehouse');
    expect(where()).toBe('/new');
    expect(light().disabled).toBe(false);
    asked.mockClear();
    await user.click(light());
    await waitFor(() => expect(asked).toHaveBeenCalled());
    act(() => asked.mock.calls[0]![0].fail('the thread ran out of room'));
    await waitFor(() => expect(screen.getByRole('alert').textContent).toBe('the thread ran out of room'));
  });

  it('shows its lengths in inches to whoever works in inches', () => {
    useView.setState({ unit: 'in' });
    open();
    expect(typedIn('Nearest distance')).toMatch(/in$|"$/);
  });
});
