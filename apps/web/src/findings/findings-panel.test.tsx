import { beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { demoDesigns, fieldsOf, set, type Evaluation, type Finding, type LightboxAssembly } from '@vitrum/core';
import { undo, useDocument } from '../document/document-store';
import { useEvaluation } from '../evaluation/evaluation-store';
import { isRead } from '../evaluation/read-findings';
import { InShop } from '../testing/lit';
import { openDesign } from '../testing/open-design';
import { useView } from '../view/view-store';
import { FindingsPanel } from './findings-panel';

const box = fieldsOf<LightboxAssembly>('assemblies.0');
const finding = (change: Partial<Finding> = {}): Finding => ({
  id: 'dots-show',
  rule: 'dots-show',
  severity: 'fix',
  what: 'Dots show on the face',
  why: 'The ripple is 3.1 % where 1.2 % is seen.',
  step: 'case',
  numbers: [],
  where: null,
  assembly: null,
  fixes: [],
  whyNone: null,
  ...change,
});
const deeper = {
  id: 'deeper',
  label: 'Deeper: 96 mm',
  before: 3.104,
  after: 0.9,
  unit: '%',
  priceChange: 4.2,
  settles: true,
  change: [set(box.case.depthInsideMm, 96)],
};
const evaluation = (findings: readonly Finding[], unknownFields: readonly string[] = []): Evaluation =>
  ({
    findings,
    unknownFields,
    cost: { currency: '€' },
    assemblies: [{ label: 'A' }, { label: 'B' }],
  }) as unknown as Evaluation;
/** As the page knows findings: evaluated, and all of them tried. */
const showTried = (findings: readonly Finding[], unknownFields: readonly string[] = []): void =>
  useEvaluation.setState({
    evaluation: evaluation(
      findings.map((each) => ({ ...each, fixes: [], whyNone: null })),
      unknownFields,
    ),
    tried: Object.fromEntries(findings.map((each) => [each.id, each])),
  });
const depth = (): number => {
  const [own] = useDocument.getState().design!.assemblies;
  return own?.build === 'lightbox' ? own.case.depthInsideMm : Number.NaN;
};

beforeEach(() => {
  openDesign(demoDesigns.dispensary);
  useEvaluation.setState(useEvaluation.getInitialState(), true);
  useView.setState({ findingsOpen: true });
});

describe('the findings in short', () => {
  beforeEach(() => void useView.setState({ findingsOpen: false }));

  it('count what stops and what disappoints, and show the worst with its best remedy', async () => {
    const user = userEvent.setup();
    const worst = finding({
      id: 'no-supply',
      severity: 'stop',
      what: 'No supply is as large',
      fixes: [deeper] as never,
    });
    const findings = [finding({ id: 'heavy', severity: 'note' }), finding(), worst];
    showTried(findings);
    render(<FindingsPanel />, { wrapper: InShop });
    expect(screen.getByText('1 stops the build, 1 will disappoint, 1 to know')).toBeTruthy();
    expect(screen.getByText('No supply is as large')).toBeTruthy();
    expect(screen.queryByText('Dots show on the face')).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Apply: Deeper: 96 mm' }));
    expect(depth()).toBe(96);
  });

  it('are tried for the worst alone, and for the rest when they are opened', async () => {
    const user = userEvent.setup();
    const findings = [
      finding(),
      finding({ id: 'heavy', severity: 'note' }),
      finding({ id: 'no-supply', severity: 'stop' }),
    ];
    useEvaluation.setState({ evaluation: evaluation(findings) });
    render(<FindingsPanel />, { wrapper: InShop });
    const read = () => findings.map(({ id }) => id).filter(isRead);
    expect(read()).toEqual(['no-supply']);
    expect(screen.getByText('working out what would help …')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'All 3' }));
    expect(read()).toEqual(['dots-show', 'heavy', 'no-supply']);
    cleanup();
    expect(read()).toEqual([]);
  });

  it('open to all of them, and are as they were left', async () => {
    const user = userEvent.setup();
    const findings = [finding(), finding({ id: 'heavy', severity: 'note', what: 'It is heavy' })];
    showTried(findings);
    render(<FindingsPanel />, { wrapper: InShop });
    await user.click(screen.getByRole('button', { name: 'All 2' }));
    expect(screen.getAllByRole('article')).toHaveLength(2);
    expect(useView.getState().findingsOpen).toBe(true);
    await user.click(screen.getByRole('button', { name: 'Fewer' }));
    expect(screen.queryAllByRole('article')).toHaveLength(0);
  });

  it('say that nothing is to be mended, though there is something to know', () => {
    const findings = [finding({ severity: 'note' })];
    showTried(findings);
    render(<FindingsPanel />, { wrapper: InShop });
    expect(screen.getByText('Nothing to mend, 1 to know')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Read it' })).toBeTruthy();
  });
});

describe('the findings', () => {
  it('say how bad, what, why, and that remedies are being tried', () => {
    useEvaluation.setState({
      evaluation: evaluation([finding(), finding({ id: 'heavy', severity: 'note', assembly: 1 })]),
    });
    render(<FindingsPanel />, { wrapper: InShop });
    const [first, second] = screen.getAllByRole('article');
    expect(within(first!).getByText('Will disappoint')).toBeTruthy();
    expect(within(first!).getByText('working out what would help …')).toBeTruthy();
    expect(within(second!).getByText('To know')).toBeTruthy();
    // Of several assemblies, the one that is meant.
    expect(within(second!).getByText('B')).toBeTruthy();
  });

  it('offer each remedy with its figures and its price, one click to apply and one undo to take back', async () => {
    const user = userEvent.setup();
    const cheaper = { ...deeper, id: 'opal', label: 'Opal face', after: 2, priceChange: -3.456, settles: false };
    const findings = [finding({ fixes: [deeper, cheaper] as never })];
    showTried(findings);
    render(<FindingsPanel />, { wrapper: InShop });
    const [row, other] = screen.getAllByRole('listitem');
    expect(row!.textContent).toContain('3.10.9 %· +€4.20');
    expect(other!.textContent).toContain('−€3.46');
    expect(other!.textContent).toContain('(helps, not enough)');
    expect(screen.queryByText('working out what would help …')).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Apply: Deeper: 96 mm' }));
    expect(depth()).toBe(96);
    undo();
    expect(depth()).toBe(81);
  });

  it('show each remedy as soon as it is tried, while others still are', () => {
    const findings = [finding(), finding({ id: 'heavy', what: 'It is heavy' })];
    useEvaluation.setState({
      evaluation: evaluation(findings),
      tried: { heavy: finding({ id: 'heavy', what: 'It is heavy', fixes: [deeper] as never }) },
    });
    render(<FindingsPanel />, { wrapper: InShop });
    const [first, second] = screen.getAllByRole('article');
    expect(within(first!).getByText('working out what would help …')).toBeTruthy();
    expect(within(second!).queryByText('working out what would help …')).toBeNull();
    expect(within(second!).getByText('Deeper: 96 mm')).toBeTruthy();
  });

  it('show their place while they are pointed at or stepped to', () => {
    showTried([finding()]);
    render(<FindingsPanel />, { wrapper: InShop });
    const card = screen.getByRole('article');
    fireEvent.mouseEnter(card);
    expect(useView.getState().shownFinding).toBe('dots-show');
    fireEvent.mouseLeave(card);
    expect(useView.getState().shownFinding).toBeNull();
  });

  it('say why nothing helps, where nothing does', () => {
    const findings = [finding({ whyNone: 'No sheet on the shelf is as large.' })];
    showTried(findings);
    render(<FindingsPanel />, { wrapper: InShop });
    expect(screen.getByText('No sheet on the shelf is as large.')).toBeTruthy();
  });

  it('that are none say so, and what to do next', () => {
    showTried([]);
    render(<FindingsPanel />, { wrapper: InShop });
    expect(screen.getAllByText('Nothing to mend')).toHaveLength(2);
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('tell what keeps the design from being built, with its place, and that the program failed', () => {
    useEvaluation.setState({
      problems: [{ path: 'assemblies.0.face.sheetId', message: 'there is no sheet “moon”' }],
      crash: 'out of light',
    });
    render(<FindingsPanel />, { wrapper: InShop });
    const [crash, problem] = screen.getAllByRole('alert');
    expect(crash!.textContent).toContain('out of light. Your design is kept');
    expect(problem!.textContent).toContain('there is no sheet “moon”assemblies.0.face.sheetId');
    expect(screen.queryByText(/Nothing to mend/)).toBeNull();
    // What stood before is shown still; nothing is worked out for it.
    useEvaluation.setState({ evaluation: evaluation([finding()]) });
    expect(screen.queryByText('working out what would help …')).toBeNull();
  });

  it('name fields that Vitrum does not know', () => {
    showTried([], ['power.joints', 'brief.colour']);
    render(<FindingsPanel />, { wrapper: InShop });
    expect(screen.getByText('2 fields that Vitrum does not know')).toBeTruthy();
    expect(screen.getByText('power.joints, brief.colour')).toBeTruthy();
  });
});
