import { beforeEach, describe, expect, it, jest } from '@jest/globals';
import { fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { CutAlong, PictureDesign, Point } from '@vitrum/core';
import { useView } from '../../view/view-store';
import { CutLine } from './cut-line';
import { movedPoint, pointAdded } from './line-points';

const picture: PictureDesign = { name: 'shore.jpg', columns: 4, rows: 2, rgb: 'A'.repeat(32) };
const square: readonly Point[] = [
  [0.1, 0.1],
  [0.9, 0.1],
  [0.9, 0.9],
  [0.1, 0.9],
];

describe('points of a line on a picture', () => {
  it('go on from the last one, or into the line where it is clicked on', () => {
    expect(pointAdded(square.slice(0, 2), [0.5, 0.6], 2)).toEqual({
      points: [...square.slice(0, 2), [0.5, 0.6]],
      at: 2,
    });
    expect(pointAdded(square, [0.5, 0.11], 2).at).toBe(1);
    // The stretch that closes it counts too.
    expect(pointAdded(square, [0.105, 0.5], 2)).toEqual({ points: [...square, [0.105, 0.5]], at: 4 });
    expect(pointAdded(square, [0.5, 0.5], 2).at).toBe(4);
  });

  it('stay on the picture', () => {
    expect(movedPoint(square, 0, [-1, 2])[0]).toEqual([0, 1]);
    expect(pointAdded([], [1.4, -0.2], 1).points).toEqual([[1, 0]]);
  });
});

describe('a line drawn on a picture', () => {
  const onUse = jest.fn<(cut: CutAlong) => string | null>(() => null);
  const onClose = jest.fn();
  const painted = jest.fn<(image: ImageData) => void>();
  beforeEach(() => {
    onUse.mockClear();
    onClose.mockClear();
    useView.setState({ unit: 'mm' });
    // The made-up document lays nothing out, and has no paint of its own.
    painted.mockClear();
    jest.spyOn(HTMLCanvasElement.prototype, 'getContext').mockReturnValue({
      createImageData: (columns: number, rows: number) => ({ data: new Uint8ClampedArray(4 * columns * rows) }),
      putImageData: painted,
    } as unknown as null);
    jest
      .spyOn(Element.prototype, 'getBoundingClientRect')
      .mockReturnValue({ left: 0, top: 0, width: 100, height: 100 } as DOMRect);
  });
  const shown = async () => {
    render(<CutLine picture={picture} onUse={onUse} onClose={onClose} />);
    return screen.findByTestId('cut-line-board');
  };
  const press = (on: Element, type: string, [x, y]: Point): void => {
    const event = new MouseEvent(type, { bubbles: true, clientX: 100 * x, clientY: 100 * y });
    Object.defineProperty(event, 'pointerId', { value: 1 });
    fireEvent(on, event);
  };
  const draw = (board: Element, points: readonly Point[]): void => {
    for (const point of points) {
      press(board, 'pointerdown', point);
      press(board, 'pointerup', point);
    }
  };

  it('lies over the picture, painted place by place', async () => {
    await shown();
    expect(painted).toHaveBeenCalledTimes(1);
    const [[image]] = painted.mock.calls as [[ImageData]];
    expect(image.data).toHaveLength(4 * 4 * 2);
    expect([...image.data.subarray(0, 4)]).toEqual([0, 0, 0, 255]);
  });

  it('is cut out at the size that is asked for', async () => {
    const user = userEvent.setup();
    draw(await shown(), square);
    expect(screen.getByText('4 points')).toBeTruthy();
    const wide = screen.getByLabelText('The whole picture is wide');
    await user.clear(wide);
    await user.type(wide, '500');
    await user.click(screen.getByRole('button', { name: 'Cut it out' }));
    const [[cut]] = onUse.mock.calls as [[CutAlong]];
    expect(cut.widthMm).toBeCloseTo(400, 6);
    expect(cut.heightMm).toBeCloseTo(200, 6);
  });

  it('has its points dragged, moved by keys and taken away', async () => {
    const user = userEvent.setup();
    const board = await shown();
    draw(board, square);
    press(screen.getByLabelText('Point 1'), 'pointerdown', square[0]!);
    press(board, 'pointermove', [0.3, 0.2]);
    press(board, 'pointerup', [0.3, 0.2]);
    const point = () => screen.getByLabelText('Point 1');
    const x = (): number => Number(point().getAttribute('cx'));
    const before = x();
    point().focus();
    await user.keyboard('{ArrowRight}');
    expect(x()).toBeGreaterThan(before);
    await user.keyboard('{Delete}');
    expect(screen.getByText('3 points')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Take the last one back' }));
    expect(screen.getByText('2 points')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Start again' }));
    expect(screen.getByText('0 points')).toBeTruthy();
  });

  it('says what is wrong with it, and keeps what was drawn', async () => {
    const user = userEvent.setup();
    const board = await shown();
    draw(board, [square[0]!, square[2]!, square[1]!, square[3]!]);
    await user.click(screen.getByRole('button', { name: 'Cut it out' }));
    expect(screen.getByRole('alert').textContent).toContain('The line crosses itself');
    await user.clear(screen.getByLabelText('The whole picture is wide'));
    await user.click(screen.getByRole('button', { name: 'Cut it out' }));
    expect(screen.getByRole('alert').textContent).toContain('type a length');
    expect(screen.getByText('4 points')).toBeTruthy();
    expect(onUse).not.toHaveBeenCalled();
  });

  it('tells why the design does not take it', async () => {
    const user = userEvent.setup();
    onUse.mockReturnValueOnce('puts the sheet outside the box');
    draw(await shown(), square);
    await user.click(screen.getByRole('button', { name: 'Cut it out' }));
    expect(screen.getByRole('alert').textContent).toContain('outside the box');
  });
});
