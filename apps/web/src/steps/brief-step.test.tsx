import { beforeEach, describe, expect, it, jest } from '@jest/globals';
import { fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { applyChange, ambientLux, demoDesigns, inDesign, set, type Design, type SolvedSign } from '@vitrum/core';
import { act } from 'react';
import { changeDesign, undo, useDocument } from '../document/document-store';
import { choose, chosenIn, offeredIn, typedIn, typeInto } from '../testing/fields';
import { InShop } from '../testing/lit';
import { openDesign } from '../testing/open-design';
import { useView } from '../view/view-store';
import { workers } from '../workers/clients';
import { BriefStep } from './brief-step';

const demo = demoDesigns.curlew;
const brief = () => useDocument.getState().design!.brief;
const shown = (design: Design = demo): void => {
  openDesign(design);
  render(
    <InShop>
      <BriefStep />
    </InShop>,
  );
};

beforeEach(() => {
  useView.setState({ unit: 'mm' });
  jest.restoreAllMocks();
});

describe('the brief', () => {
  it('has what was asked for, each with its unit', () => {
    shown();
    expect(typedIn('The sign says')).toBe(demo.brief.text);
    expect(typedIn('Lit a day')).toBe(`${demo.brief.hoursPerDay} h`);
    expect(chosenIn('Brightest light around it')).toContain(
      `${ambientLux[demo.brief.ambient].toLocaleString('en')} lx`,
    );
  });

  it('takes words letter by letter, so that the sign is lit as one types', async () => {
    const user = userEvent.setup();
    shown();
    await user.type(screen.getByLabelText('The sign says'), ' inn');
    expect(brief().text).toBe(`${demo.brief.text} inn`);
    void act(() => undo());
    expect(brief().text).toBe(`${demo.brief.text} in`);
  });

  it('takes where it hangs, in what weather, and from where it is read', async () => {
    shown();
    await choose('Hangs', 'in a window');
    await choose('Weather', 'indoors, dry');
    await choose('Lead leaves', 'at the top');
    await typeInto('Read from', '25 ft');
    await typeInto('Lead to the supply', '2m');
    expect(brief()).toMatchObject({ place: 'window', exposure: 'indoors', leadExit: 'top', leadLengthMm: 2000 });
    expect(brief().readingDistanceMm).toBeCloseTo(7620, 6);
  });

  it('tells what surrounds it by the light around it until somebody says', async () => {
    const { surroundings: _, ...rest } = demo.brief;
    shown({ ...demo, brief: { ...rest, exposure: 'indoors', ambient: 'shop' } });
    expect(chosenIn('Seen after dark')).toBe('indoors');
    await choose('Seen after dark', 'in dark country');
    expect(brief().surroundings).toBe('country');
  });

  it('leaves a budget out where none was named, and refuses what is no money', async () => {
    shown();
    await typeInto('Budget a sign', '480');
    expect(brief().budget).toBe(480);
    await typeInto('Budget a sign', '');
    expect(brief().budget ?? null).toBeNull();
    await typeInto('Budget a sign', 'little');
    expect(screen.getByRole('alert').textContent).toContain('“little” is not a number');
    expect(brief().budget ?? null).toBeNull();
  });

  it('counts signs in whole ones', async () => {
    shown();
    await typeInto('Signs', '3');
    expect(brief().quantity).toBe(3);
    await typeInto('Signs', '2.5');
    expect(brief().quantity).toBe(3);
    expect(screen.getByRole('alert')).toBeTruthy();
  });
});

describe('the colour of the light', () => {
  it('is one of the usual whites', async () => {
    shown();
    await choose('Light', 'White 4000 K');
    expect(brief().light).toEqual({ kind: 'white', cctK: 4000 });
    expect(screen.queryByLabelText('Colour')).toBeNull();
  });

  it('is shown as it is where it is no usual one', async () => {
    const found = applyChange(demo, [set(inDesign.brief.light, { kind: 'white', cctK: 2850 })]);
    expect(found.ok).toBe(true);
    shown(found.ok ? found.value : demo);
    expect(chosenIn('Light')).toBe('White 2850 K');
    expect((await offeredIn('Light'))[0]).toBe('White 2850 K');
  });

  it('is mixed of red, green and blue, and its colour can then be set', async () => {
    shown();
    await choose('Light', 'Mixed colour (RGB)');
    expect(brief().light).toEqual({ kind: 'rgb', colour: '#ff5a36' });
    fireEvent.change(screen.getByLabelText('Colour'), { target: { value: '#2266aa' } });
    expect(brief().light).toEqual({ kind: 'rgb', colour: '#2266aa' });
  });
});

describe('what Vitrum chooses', () => {
  /** A thread that chooses, answered by the test. */
  const chooser = () => {
    jest.spyOn(workers.choosing, 'setUp').mockImplementation(() => undefined);
    const asked = jest.spyOn(workers.choosing, 'ask').mockImplementation(() => () => undefined);
    return {
      asked,
      chosen: async (design: Design): Promise<void> =>
        act(async () => {
          asked.mock.calls[0]![0].hear({ kind: 'chosen', id: 1, solved: { design } as SolvedSign });
          await Promise.resolve();
        }),
      failed: async (why: string): Promise<void> =>
        act(async () => {
          asked.mock.calls[0]![0].fail(why);
          await Promise.resolve();
        }),
    };
  };
  const button = () => screen.getByRole<HTMLButtonElement>('button', { name: /Choose strip|Choosing/ });

  it('is chosen on a thread, and takes the place of the design when it comes', async () => {
    const user = userEvent.setup();
    const thread = chooser();
    shown();
    await user.click(button());
    expect(button().disabled).toBe(true);
    expect(thread.asked.mock.calls[0]![0].request).toMatchObject({ kind: 'choose', design: demo, assembly: 0 });
    await thread.chosen({ ...demo, name: 'Chosen' });
    expect(useDocument.getState().design!.name).toBe('Chosen');
    expect(button().disabled).toBe(false);
    void act(() => undo());
    expect(useDocument.getState().design!.name).toBe(demo.name);
  });

  it('never writes over what was edited meanwhile', async () => {
    const user = userEvent.setup();
    const thread = chooser();
    shown();
    await user.click(button());
    void act(() => void changeDesign([set(inDesign.brief.quantity, 7)]));
    await thread.chosen({ ...demo, name: 'Chosen' });
    expect(useDocument.getState().design!.name).toBe(demo.name);
    expect(brief().quantity).toBe(7);
    expect(screen.getByRole('alert').textContent).toContain('changed meanwhile');
  });

  it('says why nothing could be chosen, and can be asked again', async () => {
    const user = userEvent.setup();
    const thread = chooser();
    shown();
    await user.click(button());
    await thread.failed('no strip in the catalogue is like that');
    expect(screen.getByRole('alert').textContent).toContain('no strip in the catalogue');
    expect(button().disabled).toBe(false);
    expect(useDocument.getState().design).toEqual(demo);
  });

  it('says what was chosen last, and how many fields it will leave alone', async () => {
    const chosen = [
      { path: 'brief.quantity', value: demo.brief.quantity },
      { path: 'brief.leadExit', value: demo.brief.leadExit },
    ];
    shown({ ...demo, solved: { sentence: '60 mm deep, two rows.', chosen } });
    expect(screen.getByText('60 mm deep, two rows.', { exact: false })).toBeTruthy();
    expect(screen.queryByText(/that you set by hand/)).toBeNull();
    await typeInto('Signs', '2');
    expect(screen.getByText('Keeps the field that you set by hand.')).toBeTruthy();
    await choose('Lead leaves', 'at the top');
    expect(screen.getByText('Keeps the 2 fields that you set by hand.')).toBeTruthy();
  });
});
