import { beforeAll, beforeEach, describe, expect, it } from '@jest/globals';
import { act, fireEvent, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { demoDesigns, formatLength, type Evaluation } from '@vitrum/core';
import { InShop, litOf, showLit } from '../testing/lit';
import { useView } from '../view/view-store';
import { BackView } from './back-view';
import { CutPages } from './cut-pages';
import { SheetLayout } from './sheet-layout';
import { WiringDiagram } from './wiring-diagram';

let box: Evaluation;
let letters: Evaluation;
beforeAll(async () => {
  box = await litOf(demoDesigns.dispensary);
  letters = await litOf({ ...demoDesigns.curlew, brief: { ...demoDesigns.curlew.brief, text: 'CU' } });
});
beforeEach(() => {
  showLit(box);
  useView.setState({ unit: 'mm' });
});

const pointsOf = (line: Element): readonly (readonly number[])[] =>
  line
    .getAttribute('points')!
    .split(' ')
    .map((point) => point.split(',').map(Number));

describe('the sign from behind', () => {
  it('has left on the right, and up up: every segment and wire where it lies, turned over', () => {
    const { circuit } = box;
    const { container } = render(<BackView evaluation={box} />);
    expect(
      screen.getByRole('img', {
        name: `The sign from behind: ${circuit.segments.length} segments of strip, ${circuit.wires.length} wires`,
      }),
    ).toBeTruthy();
    const strips = [...container.querySelectorAll('g > polyline.stroke-ink')].map(pointsOf);
    const turnedOver = circuit.segments.map(({ path }) => path.map(([x, y]) => [0 - x, 0 - y]));
    expect(strips.map((path) => path.map(([x, y]) => [0 + x!, 0 + y!]))).toEqual(
      turnedOver.map((path) => path.map(([x, y]) => [0 + x!, 0 + y!])),
    );
    expect(container.querySelectorAll('svg > polyline').length).toBe(circuit.wires.length);
    expect(screen.getAllByText(/^\d+$/).map(({ textContent }) => textContent)).toEqual(
      circuit.segments.map(({ label }) => label),
    );
  });

  it('is drawn whole: nothing lies outside its window', () => {
    const { container } = render(<BackView evaluation={letters} tall={300} />);
    const svg = container.querySelector('svg')!;
    const [x, y, width, height] = svg.getAttribute('viewBox')!.split(' ').map(Number) as [
      number,
      number,
      number,
      number,
    ];
    expect(svg.style.height).toBe('300px');
    const strips = [...container.querySelectorAll('g > polyline.stroke-ink')].flatMap(pointsOf);
    expect(strips.length).toBeGreaterThan(10);
    for (const [px, py] of strips) {
      expect(px! > x && px! < x + width).toBe(true);
      expect(py! > y && py! < y + height).toBe(true);
    }
  });

  it('lets the wires of a chain stand out, and names each', () => {
    const chain = letters.circuit.wires[0]!.chain;
    const { container } = render(<BackView evaluation={letters} chain={chain} />);
    const wires = [...container.querySelectorAll('svg > polyline')];
    expect(wires.map((wire) => wire.getAttribute('opacity') === '1')).toEqual(
      letters.circuit.wires.map((wire) => wire.chain === chain),
    );
    const [first] = letters.circuit.wires;
    expect(wires[0]!.textContent).toContain(`${first!.from} to ${first!.to}`);
  });
});

describe('the wiring', () => {
  it('is drawn in order from the socket, or from behind, with what its colours mean', async () => {
    const user = userEvent.setup();
    render(<WiringDiagram />);
    expect(screen.getByText('every wire with its gauge and what it carries')).toBeTruthy();
    const drawn = screen.getByRole('img', { name: `Wiring of ${box.circuit.segments.length} segments` });
    // A box for each segment, and one for what feeds them.
    expect(drawn.querySelectorAll('rect').length).toBeGreaterThan(box.circuit.segments.length);
    expect(drawn.textContent).toMatch(/mm²/);
    await user.click(screen.getByRole('tab', { name: 'from behind' }));
    expect(screen.getByText(/arrows run from the start of each segment/)).toBeTruthy();
    expect(screen.getByRole('img', { name: /^The sign from behind/ })).toBeTruthy();
  });

  it('waits for the light in a room of its own', () => {
    showLit(null);
    render(<WiringDiagram />);
    expect(screen.queryByRole('region', { name: 'Wiring' })).toBeNull();
  });
});

describe('what is cut', () => {
  it('is drawn sheet by sheet, every piece within its sheet', () => {
    render(<SheetLayout />, { wrapper: InShop });
    const drawn = within(screen.getByRole('region', { name: 'Sheet layout' })).getAllByRole('img');
    const wanted = box.packing.sheets.reduce((sum, { sheets }) => sum + Math.min(4, sheets), 0);
    expect(drawn).toHaveLength(wanted);
    for (const sheet of drawn) {
      const [whole, ...pieces] = [...sheet.querySelectorAll('rect')];
      const of = (rect: Element, name: string): number => Number(rect.getAttribute(name) ?? 0);
      expect(pieces.length).toBeGreaterThan(0);
      for (const piece of pieces) {
        expect(of(piece, 'x')).toBeGreaterThanOrEqual(0);
        expect(of(piece, 'y')).toBeGreaterThanOrEqual(0);
        expect(of(piece, 'x') + of(piece, 'width')).toBeLessThanOrEqual(of(whole!, 'width') + 1e-9);
        expect(of(piece, 'y') + of(piece, 'height')).toBeLessThanOrEqual(of(whole!, 'height') + 1e-9);
      }
    }
  });

  it('has set-ups where members are sawn, with their cautions, and none where letters are routed', async () => {
    const user = userEvent.setup();
    render(<SheetLayout />, { wrapper: InShop });
    await user.click(screen.getByRole('radio', { name: 'Set-ups' }));
    const setUps = box.setUps.mm;
    if (!setUps.ok) throw new Error('no set-ups');
    const region = screen.getByRole('region', { name: 'Set-ups' });
    expect(within(region).getAllByRole('heading', { level: 4 })).toHaveLength(setUps.value.length + 1);
    expect(within(region).getByText(/At every setting/)).toBeTruthy();
    expect(screen.getByText(/Push block, eye, ear and dust protection/)).toBeTruthy();
    act(() => showLit(letters));
    expect(screen.queryByRole('radio', { name: 'Set-ups' })).toBeNull();
    expect(screen.getByRole('region', { name: 'Sheet layout' })).toBeTruthy();
  });

  it('has a page each on paper, sheets with the sizes of their pieces, and nothing on the screen', () => {
    const { container } = render(<CutPages />, { wrapper: InShop });
    expect(container.textContent).toBe('');
    fireEvent(window, new Event('beforeprint'));
    const used = box.packing.sheets.flatMap(({ placed }) => [...new Set(placed.map(({ sheet }) => sheet))]);
    const setUps = box.setUps.mm;
    expect(screen.getAllByRole('region', { name: /^Page: .*, sheet \d+$/ })).toHaveLength(used.length);
    expect(screen.getAllByRole('region', { name: /^Page: set-up \d+$/ })).toHaveLength(
      setUps.ok ? setUps.value.length : 0,
    );
    const [piece] = box.packing.sheets[0]!.placed;
    const size = `${formatLength(piece!.widthMm, 'mm')} × ${formatLength(piece!.heightMm, 'mm')}`;
    expect(screen.getAllByText((_, element) => element?.textContent === size).length).toBeGreaterThan(0);
    fireEvent(window, new Event('afterprint'));
    expect(container.textContent).toBe('');
  });
});
