import { describe, expect, it } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { fetchTheRest, lazyPart } from './lazy-part';

const Greeting = ({ name }: { readonly name: string }) => <p>Good day, {name}</p>;

describe('a part that is fetched when it is shown', () => {
  it('says that it is on its way, and then stands there', async () => {
    const Part = lazyPart(() => Promise.resolve({ Greeting }), 'Greeting');
    render(<Part name="Ada" />);
    expect(screen.getByRole('status').textContent).toBe('Fetching …');
    expect(await screen.findByText('Good day, Ada')).toBeTruthy();
  });

  it('says so when it could not be fetched, and can be tried again', async () => {
    const user = userEvent.setup();
    let away = true;
    const load = () => (away ? Promise.reject(new Error('away')) : Promise.resolve({ Greeting }));
    const Part = lazyPart(load, 'Greeting');
    render(<Part name="Ada" />);
    expect((await screen.findByRole('alert')).textContent).toContain('Nothing is lost');
    away = false;
    await user.click(screen.getByRole('button', { name: 'Try again' }));
    expect(await screen.findByText('Good day, Ada')).toBeTruthy();
  });

  it('is there at once when it was fetched while the page was idle', async () => {
    let loads = 0;
    const load = () => {
      loads += 1;
      return Promise.resolve({ Greeting });
    };
    const Part = lazyPart(load, 'Greeting');
    const Heavy = lazyPart(load, 'Greeting', { onlyWhenShown: true });
    await fetchTheRest();
    expect(loads).toBe(1);
    render(<Part name="Ada" />);
    expect(screen.getByText('Good day, Ada')).toBeTruthy();
    render(<Heavy name="Bo" />);
    expect(screen.queryByText('Good day, Bo')).toBeNull();
    expect(await screen.findByText('Good day, Bo')).toBeTruthy();
    expect(loads).toBe(2);
  });
});
