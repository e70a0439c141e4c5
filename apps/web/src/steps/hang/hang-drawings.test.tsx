import { beforeEach, describe, expect, it } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import type { Cleat, Hang } from '@vitrum/core';
import { act } from 'react';
import { useView } from '../../view/view-store';
import { CleatDrawing } from './cleat-drawing';
import { HangReport } from './hang-report';
import { WallDrawing } from './wall-drawing';

const bounds = { x: -400, y: -150, width: 800, height: 300 };
const item = {
  id: 'plug-6',
  name: 'Plug 6 mm with screw',
  provenance: 'typical',
  price: 0.18,
  holdsIn: ['masonry'],
  shearKg: 15,
  pullKg: 8,
  holeMm: 6,
  depthMm: 40,
  kg: 0.005,
} as const;
const fixing = (x: number, use = 0.25): Hang['fixings'][number] => ({
  body: 0,
  at: [x, 120],
  ground: 'masonry',
  item,
  load: { acrossKg: 0, downKg: 3, kg: 3 },
  pullKg: 0.6,
  use,
  pinned: false,
});
const cleat: Cleat = {
  thicknessMm: 12,
  highMm: 40,
  bevelDeg: 45,
  wallLengthMm: 480,
  mateLengthMm: 480,
  topMm: 112,
  mateTopMm: 140,
  middleMm: 0,
  stripMm: 72.5,
  liftMm: 15,
  footMm: 12,
};
const body: Hang['bodies'][number] = {
  id: 'box',
  name: 'Box',
  bounds,
  depthMm: 100,
  kg: 6,
  centre: [0, 0, 50],
  hold: bounds,
  recessMm: 0,
  own: null,
  carrier: null,
  backer: null,
  rails: null,
  leanMm: 0,
};
const hang: Hang = {
  assembly: 'box',
  way: 'keyholes',
  ways: ['keyholes', 'feet'],
  wall: { kind: 'studs', studPitchMm: 400, studAtMm: 0 },
  bodies: [body],
  kg: 6,
  centre: [0, 0, 50],
  fixings: [fixing(-300), fixing(300, 1.4)],
  without: [],
  offWallMm: 3,
  cleat: null,
  feet: null,
  heightMm: 2200,
  hardware: { name: 'Slotted hanging plate', kg: 3.1, ratedKg: 10 },
  back: { kg: 3.1, holdsKg: 5.4, pieces: 2 },
  blocks: false,
  onReturns: false,
  held: null,
  takesBlocks: true,
};

const rows = (): Readonly<Record<string, string>> =>
  Object.fromEntries(
    screen
      .getAllByRole('row')
      .map((row) => [row.querySelector('th')?.textContent ?? '', row.querySelector('td')?.textContent ?? '']),
  );

beforeEach(() => {
  useView.setState({ unit: 'mm' });
});

describe('the wall', () => {
  it('says how high the sign hangs, the studs behind it and its fixings, in the unit of the page', () => {
    render(<WallDrawing hang={hang} bounds={bounds} />);
    expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(
      /^The wall, middle of the sign 2200\smm above the floor, \d+ studs, 2 fixings$/,
    );
    void act(() => useView.setState({ unit: 'in' }));
    expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(/86 \d+\/\d+\sin/);
  });

  it('shows a fixing that carries too much otherwise than one that does not', () => {
    const { container } = render(<WallDrawing hang={hang} bounds={bounds} />);
    const looks = [...container.querySelectorAll('circle')].map((circle) => circle.getAttribute('class'));
    expect(looks).toEqual(['fill-ink', 'fill-signal']);
  });

  it('is a counter for what stands on feet', () => {
    const { container } = render(<WallDrawing hang={{ ...hang, way: 'feet', fixings: [] }} bounds={bounds} />);
    expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(/^The sign on its counter/);
    expect(container.textContent).toContain('counter');
    expect(container.querySelectorAll('circle')).toHaveLength(0);
  });
});

describe('the cleat in section', () => {
  it('tells its battens, bevel, lift and foot spacer; no spacer where there is a recess as deep', () => {
    const { container, rerender } = render(<CleatDrawing hang={{ ...hang, cleat }} cleat={cleat} />);
    expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(/12\smm thick and 40\smm high, bevel 45°/);
    expect(container.textContent).toMatch(/foot spacer 12\smm/);
    expect(container.querySelectorAll('polygon')).toHaveLength(2);
    rerender(<CleatDrawing hang={{ ...hang, cleat }} cleat={{ ...cleat, footMm: 0 }} />);
    expect(container.textContent).not.toContain('foot spacer');
  });
});

describe('what it carries', () => {
  it('is told of what hangs, the worst fixing, plates and back, each against what it may', () => {
    render(<HangReport hang={hang} />);
    expect(rows()).toMatchObject({
      weight: '6.00 kg',
      'most along the wall': '3.00 kg',
      'most straight off it': '0.60 kg',
      'of what a fixing may': '140 %',
      'slotted hanging plate': '3.1 of 10 kg',
      'the back, at one place': '3.1 of 5.4 kg',
    });
  });

  it('is of feet how far they may be tipped, and of a cleat what it is ripped from', () => {
    const { unmount } = render(
      <HangReport
        hang={{
          ...hang,
          way: 'feet',
          fixings: [],
          hardware: null,
          back: null,
          feet: { depthMm: 57, wantedMm: 57, tipDeg: 16.4 },
        }}
      />,
    );
    expect(rows()['tipped until it falls']).toBe('16°');
    expect(rows()).not.toHaveProperty('most along the wall');
    unmount();
    render(<HangReport hang={{ ...hang, way: 'cleat', cleat }} />);
    expect(rows()['ripped from a strip']).toMatch(/72.5\smm/);
  });
});
