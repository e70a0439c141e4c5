import { afterEach, beforeAll, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { demoDesigns, type Evaluation, type LayersAssembly } from '@vitrum/core';
import { act } from 'react';
import { setDesign, undo, useDocument } from '../../document/document-store';
import { InShop, litOf, showLit } from '../../testing/lit';
import { openDesign } from '../../testing/open-design';
import { useView } from '../../view/view-store';
import { workers } from '../../workers/clients';
import { chooseSheet } from './chosen-sheet';
import { SceneLightStep } from './light-step';
import { SceneSheets } from './scene-sheets';

const demo = demoDesigns['reed-bed'];
let evaluation: Evaluation;
beforeAll(async () => {
  evaluation = await litOf(demo);
});
beforeEach(() => {
  openDesign(demo);
  showLit(evaluation);
  chooseSheet(null);
  useView.setState({ unit: 'mm' });
  // There are no threads here; a file is never laid open.
  jest.spyOn(workers.intake, 'hold').mockImplementation(() => () => undefined);
});
afterEach(() => void jest.restoreAllMocks());

const now = () => useDocument.getState().design!.assemblies[0] as LayersAssembly;
const button = (name: RegExp | string) => screen.getByRole<HTMLButtonElement>('button', { name });

describe('strip of a scene', () => {
  const shown = () =>
    render(
      <InShop>
        <SceneLightStep />
      </InShop>,
    );

  it('lies behind a sheet in place of the rim, and back in the box', async () => {
    const user = userEvent.setup();
    shown();
    expect(screen.getByLabelText('Runs')).toBeTruthy();
    await user.click(screen.getByLabelText('Strip lies'));
    await user.click(screen.getByRole('option', { name: 'behind the edges of Bank' }));
    expect(now().scene.stripBehind).toEqual({ sheetId: 'window', setbackMm: 8, looks: 'back' });
    expect(screen.queryByLabelText('Runs')).toBeNull();
    const setback = screen.getByLabelText('In from the edge');
    await user.clear(setback);
    await user.type(setback, '12{Enter}');
    await user.click(screen.getByLabelText('Strip lies'));
    await user.click(screen.getByRole('option', { name: 'behind the edges of Near reeds' }));
    // What was set stays with the other sheet.
    expect(now().scene.stripBehind).toEqual({ sheetId: 'near-reeds', setbackMm: 12, looks: 'back' });
    await user.click(screen.getByLabelText('Strip lies'));
    await user.click(screen.getByRole('option', { name: /^in the box/ }));
    expect(now().scene.stripBehind).toBeNull();
    expect(screen.getByLabelText('Runs')).toBeTruthy();
  });

  it('goes back into the box when its sheet is taken away, in one step of undo', async () => {
    const user = userEvent.setup();
    const stripBehind = { sheetId: 'window', setbackMm: 8, looks: 'back' as const };
    act(() => void setDesign({ ...demo, assemblies: [{ ...now(), scene: { ...now().scene, stripBehind } }] }));
    render(
      <InShop>
        <SceneSheets>
          <p>letters</p>
        </SceneSheets>
      </InShop>,
    );
    await user.click(button(/^Otter/));
    await user.click(button('Take away'));
    expect(now().scene.stripBehind).toEqual(stripBehind);
    await user.click(button(/^Bank/));
    await user.click(button('Take away'));
    expect(now().scene.stripBehind).toBeNull();
    act(undo);
    expect(now().scene.stripBehind).toEqual(stripBehind);
    expect(now().scene.sheets).toHaveLength(4);
  });
});
