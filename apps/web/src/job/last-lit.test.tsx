import { beforeEach, describe, expect, it } from '@jest/globals';
import { act, render, screen } from '@testing-library/react';
import type { DesignSummary } from '@vitrum/contract';
import { demoDesigns, type Evaluation } from '@vitrum/core';
import { useEvaluation } from '../evaluation/evaluation-store';
import { FiguresTape } from '../figures/figures-tape';
import { LitView } from '../lamp-room/lit-view';
import { openDesign } from '../testing/open-design';

const last: DesignSummary = {
  size: '900 × 300 × 87 mm',
  figures: [{ id: 'depth', text: '81 mm', label: 'depth inside' }],
  counts: { stop: 0, fix: 0, note: 0 },
  thumbnail: 'data:image/png;base64,AAAA',
};
const figures = [
  { id: 'depth', text: '90 mm', label: 'depth inside', kind: 'computed', how: '', inputs: [], assembly: null },
];

beforeEach(() => {
  openDesign(demoDesigns.dispensary);
  useEvaluation.setState(useEvaluation.getInitialState(), true);
});

describe('a job whose light is on its way', () => {
  it('shows its last picture, and says that it is the last', () => {
    render(<LitView last={last} />);
    expect(screen.getByAltText('The sign as last saved, at dusk').getAttribute('src')).toBe(last.thumbnail);
    expect(screen.getByRole('status').textContent).toContain('As last saved, at dusk; lighting it now');
  });

  it.each([null, { ...last, figures: [], thumbnail: null }])(
    'that has no picture says only that it is being lit',
    (none) => {
      render(<LitView last={none} />);
      expect(screen.queryByRole('img')).toBeNull();
      expect(screen.getByRole('status').textContent).toBe('Lighting the sign …');
    },
  );

  it('that cannot be lit says so, and shows no picture that is none of it', () => {
    useEvaluation.setState({ problems: [{ path: 'x', message: 'too deep' }] });
    render(<LitView last={last} />);
    expect(screen.getByRole('status').textContent).toContain('cannot be lit yet');
  });

  it('shows its last figures, said to be as last saved, until its own are there', () => {
    render(<FiguresTape last={last} />);
    expect(screen.getByLabelText('Figures as last saved').textContent).toBe('as last saved81 mmdepth inside');
    act(() =>
      useEvaluation.setState({ evaluation: { figures, findings: [], assemblies: [] } as unknown as Evaluation }),
    );
    expect(screen.queryByText(/as last saved/)).toBeNull();
    expect(screen.getByRole('button').textContent).toContain('90 mm');
  });
});
