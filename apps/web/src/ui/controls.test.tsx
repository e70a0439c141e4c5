import { describe, expect, it, jest } from '@jest/globals';
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { Choice } from './choice';
import { Hint } from './hint';
import { HintLayer } from './hint-layer';
import { Notices } from './notices';
import { tell } from './notices-store';
import { ProgressBar } from './progress-bar';
import { Slide } from './slide';
import { Tick } from './tick';
import { Ways } from './ways';

const sheets = [
  { value: '', label: 'nothing' },
  { value: 'opal', label: 'Opal', detail: 'passes 45 %', swatch: 'rgb(200 200 200)' },
  { value: 'old', label: 'Old stock', disabled: true },
] as const;

const Sheets = () => {
  const [value, setValue] = useState<string>('');
  return <Choice label="Sheet" value={value} options={sheets} onChoose={setValue} />;
};

describe('a list to choose from', () => {
  it('says what is chosen, an empty value too, and tells materials apart by their figure', async () => {
    const user = userEvent.setup();
    render(<Sheets />);
    const list = screen.getByRole('combobox', { name: 'Sheet' });
    expect(list.textContent).toBe('nothing');
    await user.click(list);
    expect(screen.getByRole('option', { name: /Opal/ }).textContent).toContain('passes 45 %');
    await user.click(screen.getByRole('option', { name: /Opal/ }));
    expect([list.textContent, list.dataset['value']]).toEqual(['Opal', 'opal']);
  });

  it('is chosen from by keyboard alone, keeps what cannot be had, and is put away by Escape', async () => {
    const user = userEvent.setup();
    render(<Sheets />);
    const list = screen.getByRole('combobox', { name: 'Sheet' });
    list.focus();
    await user.keyboard('{Enter}');
    expect(screen.getByRole('option', { name: 'Old stock' }).getAttribute('aria-disabled')).toBe('true');
    await user.keyboard('{ArrowDown}{Enter}');
    expect(list.textContent).toBe('Opal');
    await user.keyboard('{Enter}{Escape}');
    expect(screen.queryByRole('option')).toBeNull();
    expect(list.textContent).toBe('Opal');
  });

  it('shows words of its own while nothing that it knows is chosen', () => {
    render(
      <Choice label="Where" value="gone" unchosen="click the drawing" options={sheets} onChoose={() => undefined} />,
    );
    expect(screen.getByRole('combobox', { name: 'Where' }).textContent).toBe('click the drawing');
  });
});

describe('ticks, slides and ways', () => {
  it('a tick goes on and off by its box and by its words', async () => {
    const user = userEvent.setup();
    const Own = () => {
      const [on, setOn] = useState(false);
      return (
        <Tick on={on} onChange={setOn}>
          Done
        </Tick>
      );
    };
    render(<Own />);
    const box = screen.getByRole('checkbox', { name: 'Done' });
    await user.click(box);
    expect(box.getAttribute('aria-checked')).toBe('true');
    await user.click(screen.getByText('Done'));
    expect(box.getAttribute('aria-checked')).toBe('false');
  });

  it('a slide goes by its step with the arrows, and no farther than its ends', async () => {
    const user = userEvent.setup();
    const Own = () => {
      const [value, setValue] = useState(90);
      return <Slide label={`Level, ${value} %`} value={value} max={100} step={5} onChange={setValue} />;
    };
    render(<Own />);
    act(() => screen.getByRole('slider').focus());
    await user.keyboard('{ArrowRight}{ArrowRight}{ArrowRight}');
    expect(screen.getByRole('slider', { name: 'Level, 100 %' }).getAttribute('aria-valuenow')).toBe('100');
    await user.keyboard('{Home}');
    expect(screen.getByText('Level, 0 %')).toBeTruthy();
  });

  it('one of a few ways always holds', async () => {
    const user = userEvent.setup();
    const chosen: string[] = [];
    render(
      <Ways
        label="Light"
        value="dusk"
        options={[
          { value: 'noon', label: 'Noon' },
          { value: 'dusk', label: 'Dusk' },
        ]}
        onChoose={(way) => chosen.push(way)}
      />,
    );
    await user.click(screen.getByRole('radio', { name: 'Dusk' }));
    await user.click(screen.getByRole('radio', { name: 'Noon' }));
    expect(chosen).toEqual(['noon']);
    expect(screen.getByRole('radio', { name: 'Dusk' }).getAttribute('aria-checked')).toBe('true');
  });

  it('progress is told where it is known', () => {
    const { rerender } = render(<ProgressBar label="Trying" done={{ value: 3, max: 12 }} />);
    expect(screen.getByRole('progressbar', { name: 'Trying' }).getAttribute('aria-valuenow')).toBe('3');
    rerender(<ProgressBar label="Trying" done={null} />);
    expect(screen.getByRole('progressbar').getAttribute('aria-valuenow')).toBeNull();
  });
});

describe('what lies over the page', () => {
  it('a hint comes for what is pointed at, and goes as soon as it is pressed', async () => {
    render(
      <>
        <Hint says="Lights on or off (key L)">
          <button type="button">Lit</button>
        </Hint>
        <HintLayer />
      </>,
    );
    fireEvent.pointerOver(screen.getByRole('button', { name: 'Lit' }));
    expect(screen.queryByRole('tooltip')).toBeNull();
    await waitFor(() => expect(screen.getByRole('tooltip').textContent).toBe('Lights on or off (key L)'));
    fireEvent.pointerDown(screen.getByText('Lit'));
    expect(screen.queryByRole('tooltip')).toBeNull();
  });

  it('a notice says what was done and takes it back; a newer one takes its place', async () => {
    const user = userEvent.setup();
    let undone = 0;
    render(<Notices />);
    act(() => tell({ words: 'Applied: five rows', undo: () => (undone += 1) }));
    act(() => tell({ words: 'Applied: six rows', undo: () => (undone += 10) }));
    expect(screen.queryByText('Applied: five rows')).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Take it back' }));
    expect(undone).toBe(10);
    expect(screen.queryByText('Applied: six rows')).toBeNull();
  });

  it('a notice that something is to be done about stays until it is put away', async () => {
    const user = userEvent.setup();
    render(<Notices />);
    const clock = jest.spyOn(window, 'setTimeout');
    act(() => tell({ words: 'No font here has 寿', stays: true }));
    expect(clock.mock.calls.some(([, ms]) => ms === 6000)).toBe(false);
    act(() => tell({ words: 'Applied: five rows' }));
    expect(clock.mock.calls.some(([, ms]) => ms === 6000)).toBe(true);
    clock.mockRestore();
    act(() => tell({ words: 'No font here has 寿', stays: true }));
    await user.click(screen.getByRole('button', { name: 'Put the notice away' }));
    expect(screen.queryByText('No font here has 寿')).toBeNull();
  });
});
