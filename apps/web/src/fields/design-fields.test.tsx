import { beforeEach, describe, expect, it } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { demoDesigns, fieldsOf, inDesign, type LightboxAssembly } from '@vitrum/core';
import { undo, useDocument } from '../document/document-store';
import { openDesign } from '../testing/open-design';
import { useView } from '../view/view-store';
import { ChoiceField, LengthField, NumberField, WordsField } from './design-fields';
import { act } from 'react';

const box = fieldsOf<LightboxAssembly>('assemblies.0');
const now = () => useDocument.getState().design!;
const depth = (): number => {
  const [own] = now().assemblies;
  return own?.build === 'lightbox' ? own.case.depthInsideMm : Number.NaN;
};
const value = (label: string): string => screen.getByLabelText<HTMLInputElement>(label).value;

beforeEach(() => {
  openDesign(demoDesigns.dispensary);
  useView.setState({ unit: 'mm' });
});

describe('a field of a length', () => {
  const shown = () => render(<LengthField label="Depth" field={box.case.depthInsideMm} />);

  it('shows what the design has, in the unit of the page', () => {
    shown();
    expect(value('Depth')).toBe('81 mm');
    void act(() => useView.setState({ unit: 'in' }));
    expect(value('Depth')).toMatch(/^3 .*in$|^3 .*"$/);
  });

  it('takes inches, fractions and arithmetic on Enter, and nothing before', async () => {
    const user = userEvent.setup();
    shown();
    await user.clear(screen.getByLabelText('Depth'));
    await user.type(screen.getByLabelText('Depth'), '3 1/2in');
    expect(depth()).toBe(81);
    await user.keyboard('{Enter}');
    expect(depth()).toBeCloseTo(88.9, 6);
    await user.clear(screen.getByLabelText('Depth'));
    await user.type(screen.getByLabelText('Depth'), '200/2-12{Enter}');
    expect(depth()).toBe(88);
  });

  it('says what is wrong beside it, keeps what was typed and what the design had', async () => {
    const user = userEvent.setup();
    shown();
    await user.clear(screen.getByLabelText('Depth'));
    await user.type(screen.getByLabelText('Depth'), '2{Enter}');
    expect(depth()).toBe(81);
    expect(value('Depth')).toBe('2');
    const field = screen.getByLabelText('Depth');
    expect(field.getAttribute('aria-invalid')).toBe('true');
    expect(document.getElementById(field.getAttribute('aria-describedby')!)?.textContent).toContain('8 or more');
    await user.keyboard('{Escape}');
    expect(value('Depth')).toBe('81 mm');
  });

  it('goes by a step with the arrows, ten with Shift, each of which undo takes back', async () => {
    const user = userEvent.setup();
    shown();
    await user.click(screen.getByLabelText('Depth'));
    await user.keyboard('{ArrowUp}{Shift>}{ArrowUp}{/Shift}{ArrowDown}');
    expect(depth()).toBe(91);
    act(undo);
    expect(value('Depth')).toBe('92 mm');
  });

  it('takes what was typed when it is left, and gives it up on Escape', async () => {
    const user = userEvent.setup();
    shown();
    await user.clear(screen.getByLabelText('Depth'));
    await user.type(screen.getByLabelText('Depth'), '95');
    await user.tab();
    expect(depth()).toBe(95);
    await user.click(screen.getByLabelText('Depth'));
    await user.keyboard('120{Escape}');
    await user.tab();
    expect(depth()).toBe(95);
  });
});

describe('other fields', () => {
  it('of a share are typed in per cent, with a comma too', async () => {
    const user = userEvent.setup();
    render(<NumberField label="Dimmed to" field={inDesign.power.level} unit="%" scale={100} />);
    await user.clear(screen.getByLabelText('Dimmed to'));
    await user.type(screen.getByLabelText('Dimmed to'), '62,5 %{Enter}');
    expect(now().power.level).toBe(0.625);
    await user.clear(screen.getByLabelText('Dimmed to'));
    await user.type(screen.getByLabelText('Dimmed to'), 'half{Enter}');
    expect(screen.getByText('“half” is not a number')).toBeTruthy();
    expect(now().power.level).toBe(0.625);
  });

  it('of a choice name what the catalogue no longer has', async () => {
    const user = userEvent.setup();
    const choices = [
      { value: 'opal', label: 'Opal' },
      { value: 'clear', label: 'Clear' },
    ];
    render(<ChoiceField label="Sheet" field={box.face.sheetId} choices={choices} />);
    const before = (now().assemblies[0] as LightboxAssembly).face.sheetId;
    expect(screen.getByLabelText('Sheet').textContent).toBe(`${before} (not in the catalogue)`);
    await user.click(screen.getByLabelText('Sheet'));
    await user.click(screen.getByRole('option', { name: 'Clear' }));
    expect(screen.queryByRole('option')).toBeNull();
    expect((now().assemblies[0] as LightboxAssembly).face.sheetId).toBe('clear');
    expect(screen.queryByText(/not in the catalogue/)).toBeNull();
  });

  it('of words change the sign with every key', async () => {
    const user = userEvent.setup();
    render(<WordsField label="Text" field={inDesign.brief.text} />);
    await user.clear(screen.getByLabelText('Text'));
    await user.type(screen.getByLabelText('Text'), 'OPEN{Enter}LATE');
    expect(now().brief.text).toBe('OPEN\nLATE');
  });
});
