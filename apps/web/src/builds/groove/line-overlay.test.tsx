import { beforeAll, beforeEach, describe, expect, it } from '@jest/globals';
import { fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { demoDesigns, type Evaluation, type GrooveAssembly } from '@vitrum/core';
import { undo, useDocument } from '../../document/document-store';
import { litOf } from '../../testing/lit';
import { openDesign } from '../../testing/open-design';
import { useView } from '../../view/view-store';
import { chooseLine, useChosenLine } from './chosen-line';
import { placesOf } from './line-edits';
import { LineOverlay } from './line-overlay';

const late = demoDesigns['late-soup'];
const corners = [0, 0, 300, 0, 300, 200];
/** One line of three points and one of two, drawn on the carrier of the demo. */
const design = {
  ...late,
  assemblies: late.assemblies.map((own) => ({
    ...own,
    lines: {
      ...own.lines,
      from: 'drawn' as const,
      drawn: {
        name: 'Mine',
        scale: 1,
        lines: [
          { points: corners, closed: false },
          { points: [0, 100, 250, 100], closed: false },
        ],
      },
    },
  })),
} as unknown as typeof late;
let evaluation: Evaluation;
beforeAll(async () => {
  evaluation = await litOf(design);
});
beforeEach(() => {
  openDesign(design);
  chooseLine(0);
  useView.setState({ step: 'artwork' });
});
const line = (index = 0) => {
  const { drawn } = (useDocument.getState().design!.assemblies[0] as GrooveAssembly).lines;
  return placesOf(drawn!.lines[index]!);
};
const show = (): void =>
  void render(
    <svg>
      <LineOverlay own={evaluation.assemblies[0]!} view={{ scale: 1, originX: 0, originY: 400 }} />
    </svg>,
  );
const point = (name: string) => screen.getByRole('button', { name });

describe('lines that are drawn', () => {
  it('show the points of the chosen one, and where more may be put', () => {
    show();
    expect(screen.getAllByTestId('line-point')).toHaveLength(3);
    expect(screen.getAllByTestId('new-line-point')).toHaveLength(2);
  });

  it('are chosen by a click on them', () => {
    show();
    fireEvent.pointerDown(screen.getByText('line 2').parentElement!);
    expect(useChosenLine.getState().line).toBe(1);
    expect(screen.getAllByTestId('line-point')).toHaveLength(2);
  });

  it('are worked on where they are drawn alone: at other steps they are not in the way', () => {
    useView.setState({ step: 'power' });
    show();
    expect(screen.queryByTestId('line-overlay')).toBeNull();
  });

  it('move a point by keys, as far as they were pressed', async () => {
    const user = userEvent.setup();
    show();
    point('Point 2 of line 1').focus();
    await user.keyboard('{ArrowUp}{ArrowUp}{ArrowLeft}');
    expect(line()[1]).toEqual([299, 2]);
    expect([line()[0], line()[2]]).toEqual([
      [0, 0],
      [300, 200],
    ]);
    undo();
    expect(line()[1]).toEqual([300, 2]);
  });

  it('get a point more in the middle of a side, and lose one by Delete', async () => {
    const user = userEvent.setup();
    show();
    point('New point after point 1 of line 1').focus();
    await user.keyboard('{Enter}');
    expect(line()).toHaveLength(4);
    expect(line()[1]).toEqual([150, 0]);
    point('Point 3 of line 1').focus();
    await user.keyboard('{Delete}');
    expect(line()).toEqual([
      [0, 0],
      [150, 0],
      [300, 200],
    ]);
  });
});
