import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

const field = (label: string | RegExp): HTMLElement => screen.getByLabelText(label);

/** What stands in a field. */
export const typedIn = (label: string | RegExp): string => (field(label) as HTMLInputElement).value;

/** What a list has chosen. */
export const chosenIn = (label: string | RegExp): string => field(label).textContent;

/** Types into a field in place of what stood there, and takes it. */
export const typeInto = async (label: string | RegExp, text: string): Promise<void> => {
  const user = userEvent.setup();
  await user.clear(field(label));
  await user.type(field(label), `${text}{Enter}`);
};

/** Chooses one of a list. */
export const choose = async (label: string | RegExp, option: string | RegExp): Promise<void> => {
  const user = userEvent.setup();
  await user.click(field(label));
  await user.click(await screen.findByRole('option', { name: option }));
};

/** What a list offers, in its order; it is shut again. */
export const offeredIn = async (label: string | RegExp): Promise<readonly string[]> => {
  const user = userEvent.setup();
  await user.click(field(label));
  const told = within(await screen.findByRole('listbox'))
    .getAllByRole('option')
    .map(({ textContent }) => textContent);
  await user.keyboard('{Escape}');
  return told;
};

/** What follows from a field, told under it. */
export const toldUnder = (label: string | RegExp): string => field(label).parentElement!.parentElement!.textContent;
