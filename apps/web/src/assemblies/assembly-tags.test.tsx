import { beforeAll, beforeEach, describe, expect, it } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { demoDesigns, type Evaluation } from '@vitrum/core';
import { undo, useDocument } from '../document/document-store';
import { useSelection } from '../document/selection';
import { litOf } from '../testing/lit';
import { openDesign } from '../testing/open-design';
import { AssemblyTags } from './assembly-tags';

const demo = demoDesigns['lantern-rooms'];
let evaluation: Evaluation;
beforeAll(async () => {
  evaluation = await litOf(demo);
});
beforeEach(() => {
  openDesign(demo);
  useSelection.setState(useSelection.getInitialState(), true);
});

const places = () => useDocument.getState().design!.assemblies.map(({ place }) => [place.xMm, place.yMm] as const);
const before = demo.assemblies.map(({ place }) => [place.xMm, place.yMm] as const);
const show = (assemblies = evaluation.assemblies): void =>
  void render(
    <svg>
      <AssemblyTags
        assemblies={assemblies}
        chosen={0}
        view={{ scale: 0.5, originX: 300, originY: 200 }}
        ink="#16181d"
      />
    </svg>,
  );
const tags = () => screen.getAllByTestId('assembly-tag');

describe('the letter of each assembly on the front', () => {
  it('says which it is and where its middle lies, and which is chosen', () => {
    show();
    expect(tags().map(({ textContent }) => textContent)).toEqual(evaluation.assemblies.map(({ label }) => label));
    expect(tags().map((tag) => tag.getAttribute('aria-pressed'))).toEqual(['true', 'false']);
    for (const tag of tags()) expect(tag.getAttribute('aria-label')).toMatch(/, its middle at -?\d+, -?\d+ mm$/);
  });

  it('is not there where a sign has one alone', () => {
    show(evaluation.assemblies.slice(0, 1));
    expect(screen.queryByTestId('assembly-tag')).toBeNull();
  });

  it('is chosen by Enter and by Space', async () => {
    const user = userEvent.setup();
    show();
    tags()[1]!.focus();
    await user.keyboard('{Enter}');
    expect(useSelection.getState().assemblyId).toBe(evaluation.assemblies[1]!.id);
    tags()[0]!.focus();
    await user.keyboard(' ');
    expect(useSelection.getState().assemblyId).toBe(evaluation.assemblies[0]!.id);
  });

  it('moves its assembly by keys, as far as they were pressed though nothing is worked out between them', async () => {
    const user = userEvent.setup();
    show();
    tags()[1]!.focus();
    await user.keyboard('{ArrowRight}{ArrowRight}{ArrowRight}{ArrowUp}');
    const [x, y] = before[1]!;
    expect(places()[1]![0]).toBeCloseTo(x + 3, 9);
    expect(places()[1]![1]).toBeCloseTo(y + 1, 9);
    expect(places()[0]).toEqual(before[0]);
    undo();
    expect(places()[1]![1]).toBeCloseTo(y, 9);
  });

  it('goes ten times as far with Shift', async () => {
    const user = userEvent.setup();
    show();
    tags()[1]!.focus();
    await user.keyboard('{Shift>}{ArrowLeft}{/Shift}');
    expect(places()[1]![0]).toBeCloseTo(before[1]![0] - 10, 9);
  });
});
