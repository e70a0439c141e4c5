import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { answerPlan } from '@vitrum/core';
import { MemoryRouter } from 'react-router';
import { jobA, jobB, planServer } from '../testing/plan-server';
import { planStep } from '../testing/plan-step';
import { workers } from '../workers/clients';
import { PlanPage } from './plan-page';
import { usePlan } from './plan-store';

let server: ReturnType<typeof planServer>;
const open = (show: string): void =>
  void render(
    <MemoryRouter initialEntries={[`/plan?show=${show}`]}>
      <PlanPage />
    </MemoryRouter>,
  );
beforeEach(() => {
  jest.spyOn(workers.plan, 'ask').mockImplementation(({ request, hear }) => {
    hear(answerPlan({ ...request, id: 1 }));
    return () => undefined;
  });
  usePlan.setState(usePlan.getInitialState(), true);
});
afterEach(() => {
  server.end();
  jest.restoreAllMocks();
});
const days = () => screen.getAllByRole('region').filter((each) => within(each).queryAllByRole('listitem').length > 0);

describe('the plan day by day', () => {
  it('says what is done when, for which job, by whom, and what it comes to', async () => {
    server = planServer();
    open('days');
    expect(await screen.findByText(/3 steps of 2 jobs, 5 h of work; all done/)).toBeTruthy();
    const rows = days().flatMap((day) => within(day).getAllByRole('button'));
    expect(rows).toHaveLength(3);
    expect(rows.every(({ textContent }) => /Job [ab]/.test(textContent))).toBe(true);
    expect(screen.getByText('No job has a due day.')).toBeTruthy();
  });

  it('a step is chosen, pinned, and the pin taken away', async () => {
    const user = userEvent.setup();
    server = planServer();
    open('days');
    await user.click(await screen.findByRole('button', { name: /Do two.*Job b/ }));
    const chosen = screen.getByRole('region', { name: 'Chosen step' });
    expect(chosen.textContent).toContain('2 h at the bench');
    const begin = within(chosen).getByLabelText<HTMLInputElement>('Begin it at');
    const later = `${Number(begin.value.slice(0, 4)) + 1}${begin.value.slice(4, 10)}T10:00`;
    await user.clear(begin);
    await user.type(begin, later);
    await user.click(within(chosen).getByRole('button', { name: 'Pin it there' }));
    await waitFor(() => expect(chosen.textContent).toContain(`Pinned to ${later.replace('T', ' ')}`));
    expect(server.kept().pins).toEqual([{ jobId: jobB, stepId: 'two', at: later }]);
    await user.click(within(chosen).getByRole('button', { name: 'Take the pin away' }));
    await waitFor(() => expect(server.kept().pins).toEqual([]));
  });

  it('what is late says why and what can be done; a day that is agreed on settles it', async () => {
    const user = userEvent.setup();
    const late = [
      {
        id: jobA,
        name: 'Job a',
        dueOn: '2020-01-31',
        status: 'cutting',
        known: true,
        done: [],
        steps: [planStep('one', { minutes: 600 })],
      },
    ];
    server = planServer(late);
    open('days');
    const list = await screen.findByRole('list', { name: 'Late jobs' });
    expect(list.textContent).toContain('due Fri 31 Jan');
    expect(list.textContent).toContain('Even alone in the shop it would be done');
    await user.click(within(list).getByRole('button', { name: 'What can be done?' }));
    await user.click(await within(list).findByRole('button', { name: 'It is agreed' }));
    expect(await screen.findByText('Every job is done by the day it is due.')).toBeTruthy();
    expect(server.lines()).toContain(`PATCH /api/jobs/${jobA}`);
  });

  it('what nobody can do is told, and nothing is said to be in time', async () => {
    const lift = planStep('lift', { people: 3 });
    server = planServer([
      { id: jobA, name: 'Job a', dueOn: '2099-01-01', status: 'cutting', known: true, done: [], steps: [lift] },
    ]);
    open('days');
    expect((await screen.findByRole('alert')).textContent).toContain('“Do lift” of Job a takes more people');
    expect(screen.queryByText(/Every job is done/)).toBeNull();
  });

  it('an empty shop is told what comes here', async () => {
    server = planServer([]);
    open('days');
    expect(await screen.findByText(/Jobs stand here once they are designed/)).toBeTruthy();
  });

  it('tells who goes before all others, and lets them wait again', async () => {
    const user = userEvent.setup();
    server = planServer();
    open('days');
    await screen.findByText(/3 steps of 2 jobs/);
    const { known } = usePlan.getState();
    usePlan.setState({
      known: {
        ...known!,
        view: { ...known!.view, plan: { version: 0, paper: { pins: [], starts: [], first: [jobB] } } },
      },
    });
    expect(await screen.findByText(/Job b goes before all others/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'No longer' }));
    await waitFor(() => expect(screen.queryByText(/goes before all others/)).toBeNull());
  });
});

describe('the hours of the shop', () => {
  it('are typed as one says them; what is none is marked and not kept', async () => {
    const user = userEvent.setup();
    server = planServer();
    open('hours');
    const form = await screen.findByRole('form', { name: 'Hours of the shop' });
    const keep = within(form).getByRole<HTMLButtonElement>('button', { name: 'Keep these hours' });
    const saturday = within(form).getAllByLabelText<HTMLInputElement>('Sat')[0]!;
    await user.type(saturday, '8 to noon');
    expect(saturday.getAttribute('aria-invalid')).toBe('true');
    expect(keep.disabled).toBe(true);
    await user.clear(saturday);
    await user.type(saturday, '8-13');
    await user.type(within(form).getAllByLabelText('Days away')[1]!, '2030-01-07 to 2030-01-11');
    await user.type(within(form).getByLabelText('Days on which nobody works'), '2030-12-25');
    const benches = within(form).getByLabelText('Benches');
    await user.clear(benches);
    await user.type(benches, '3');
    await user.click(keep);
    await waitFor(() => expect(server.floor().closed).toEqual(['2030-12-25']));
    const { people, places } = server.floor();
    expect(people[0]!.hours[5]).toEqual([[480, 780]]);
    expect(people[1]!.away).toEqual([['2030-01-07', '2030-01-11']]);
    expect(places.bench).toBe(3);
  });

  it('somebody else comes, with hours like the first, and goes', async () => {
    const user = userEvent.setup();
    server = planServer();
    open('hours');
    const form = await screen.findByRole('form', { name: 'Hours of the shop' });
    await user.click(within(form).getByRole('button', { name: 'Somebody else' }));
    await user.click(within(form).getByRole('button', { name: 'Take First maker off the list' }));
    await user.click(within(form).getByRole('button', { name: 'Keep these hours' }));
    await waitFor(() => expect(server.floor().people.map(({ name }) => name)).toEqual(['Second maker', 'Maker 3']));
    const ids = server.floor().people.map(({ id }) => id);
    expect(new Set(ids).size).toBe(2);
  });
});
