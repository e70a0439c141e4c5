import { beforeAll, beforeEach, describe, expect, it } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import { demoDesigns, finishSystems, gluesFor, shippedCatalogue, waitWords, type Evaluation } from '@vitrum/core';
import { act } from 'react';
import { undo, useDocument } from '../../document/document-store';
import { choose, offeredIn, toldUnder, typedIn, typeInto } from '../../testing/fields';
import { InShop, litOf, showLit } from '../../testing/lit';
import { openDesign } from '../../testing/open-design';
import { FinishFields } from './finish-fields';

const demo = demoDesigns.dispensary;
let evaluation: Evaluation;
beforeAll(async () => {
  evaluation = await litOf(demo);
});
beforeEach(() => {
  openDesign(demo);
  showLit(evaluation);
});
const finishing = () => useDocument.getState().design!.assemblies[0]!.finishing;
const own = () => evaluation.assemblies[0]!.finishing;
const shown = (): void =>
  void render(
    <InShop>
      <FinishFields />
    </InShop>,
  );
const labelOf = (name: string): RegExp => new RegExp(`^${name.replace(/[()]/g, '.')}$`, 'i');

describe('paint of an assembly', () => {
  const open = () => own().surfaces.filter(({ fixed }) => fixed === null);

  it('has a list for each surface that can be coated, with its square metres, litres and drying', () => {
    shown();
    expect(open().length).toBeGreaterThan(0);
    for (const { name, m2, layers } of open()) {
      const told = toldUnder(labelOf(name));
      expect(told).toContain(`${m2.toFixed(2)} m²`);
      const litres = layers.reduce((sum, each) => sum + each.litres, 0);
      const waits = layers.reduce((sum, each) => sum + each.waitMin, 0);
      expect(layers.length).toBeGreaterThan(0);
      expect(told).toContain(`${litres.toFixed(2)} L, dries ${waitWords(waits)} in all`);
    }
  });

  it('offers every system of coats, and one that is chosen stays with its surface alone', async () => {
    shown();
    const [first] = open();
    expect((await offeredIn(labelOf(first!.name))).length).toBeGreaterThanOrEqual(finishSystems.length);
    const [now] = first!.layers;
    const system = finishSystems.find(({ layers }) => layers.length > 0 && layers[0]!.paintId !== now!.paint.id)!;
    await choose(labelOf(first!.name), labelOf(system.name));
    expect(finishing()!.coats!.find(({ surface }) => surface === first!.id)!.layers).toEqual(system.layers);
    await choose(labelOf(first!.name), labelOf(finishSystems.find(({ id }) => id !== system.id)!.name));
    expect(finishing()!.coats!.filter(({ surface }) => surface === first!.id)).toHaveLength(1);
  });

  it('tells a surface that its lining coats, without a list', () => {
    shown();
    const lined = own().surfaces.filter(({ fixed }) => fixed !== null);
    expect(lined.map(({ id }) => id)).toEqual(['inside']);
    for (const { name } of lined) {
      expect(screen.queryByLabelText(labelOf(name))).toBeNull();
      expect(screen.getByText(new RegExp(`${name}: by its lining`, 'i'))).toBeTruthy();
    }
  });
});

describe('the wait between coats', () => {
  it.each([
    ['45', 45],
    ['45 min', 45],
    ['1,5 h', 90],
    ['2 d', 2880],
    ['1 day', 1440],
  ])('“%s” is %s minutes', async (text, minutes) => {
    shown();
    await typeInto('Between coats', text);
    expect(finishing()!.betweenCoatsMin).toBe(minutes);
  });

  it('is as the paint wants it when it is emptied, and when it was never said', async () => {
    shown();
    expect(typedIn('Between coats')).toBe('as needed');
    await typeInto('Between coats', '8 h');
    await typeInto('Between coats', '');
    expect(finishing()!.betweenCoatsMin).toBeUndefined();
  });

  it('is refused where it is no time, and the design stays as it was', async () => {
    shown();
    await typeInto('Between coats', 'overnight');
    expect(screen.getByRole('alert').textContent).toContain('45 min, 8 h, 2 d');
    expect(finishing()?.betweenCoatsMin).toBeUndefined();
  });
});

describe('glue of a joint', () => {
  it('offers what holds both sides, and tells how long it stays open, is held and cures', async () => {
    shown();
    for (const { what, between, fine, glue, ml } of own().bonds) {
      const label = labelOf(`Glue, ${what}`);
      const fit = gluesFor(between, fine, shippedCatalogue).map(({ name }) => name);
      expect(await offeredIn(label)).toEqual(expect.arrayContaining([...fit]));
      expect(toldUnder(label)).toContain(`${Math.ceil(ml)} ml; within ${waitWords(glue!.openMin)}`);
      expect(toldUnder(label)).toContain(`loaded after ${waitWords(glue!.cureMin)}`);
    }
    expect(own().bonds.length).toBeGreaterThan(0);
  });

  it('is chosen for one joint, and taken back as one step', async () => {
    shown();
    const bond = own().bonds.find(({ between, fine }) => gluesFor(between, fine, shippedCatalogue).length > 1)!;
    const other = gluesFor(bond.between, bond.fine, shippedCatalogue).find(({ id }) => id !== bond.glue?.id)!;
    await choose(labelOf(`Glue, ${bond.what}`), labelOf(other.name));
    expect(finishing()!.glues!.filter(({ bond: of }) => of === bond.id)).toEqual([{ bond: bond.id, glueId: other.id }]);
    void act(() => undo());
    expect(useDocument.getState().design).toEqual(demo);
  });
});

it('nothing is asked before the light of the design is known', () => {
  showLit(null);
  shown();
  expect(screen.queryByRole('region', { name: 'Paint and glue' })).toBeNull();
});
