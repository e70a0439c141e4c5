import { beforeAll, beforeEach, describe, expect, it } from '@jest/globals';
import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import {
  applyChange,
  demoDesigns,
  inDesign,
  set,
  shippedCatalogue,
  type Design,
  type DesignChange,
  type Evaluation,
} from '@vitrum/core';
import type { ComponentType } from 'react';
import { useDocument } from '../../document/document-store';
import { choose, chosenIn, offeredIn, toldUnder, typedIn, typeInto } from '../../testing/fields';
import { InShop, litOf } from '../../testing/lit';
import { openDesign } from '../../testing/open-design';
import { ControlFields } from './control-fields';
import { FeedFields } from './feed-fields';
import { SupplyFields } from './supply-fields';

type Fields = ComponentType<{ readonly evaluation: Evaluation }>;

const changed = (design: Design, change: DesignChange): Design => {
  const found = applyChange(design, change);
  if (!found.ok) throw new Error(found.problems[0]!.message);
  return found.value;
};
const power = () => useDocument.getState().design!.power;
const shown = (Fields: Fields, evaluation: Evaluation): void => {
  openDesign(evaluation.design);
  render(
    <InShop>
      <Fields evaluation={evaluation} />
    </InShop>,
  );
};

let white: Evaluation;
let coloured: Evaluation;
beforeAll(async () => {
  white = await litOf(demoDesigns['rye-and-salt']);
  coloured = await litOf(demoDesigns.slipway);
});
beforeEach(() => openDesign(demoDesigns['rye-and-salt']));

describe('what feeds a sign', () => {
  const table = () => screen.getByRole('table', { name: 'Ways to feed it' });

  it('offers supplies of its voltage and source alone, and says what the load asks for', async () => {
    shown(SupplyFields, white);
    const { circuit } = white;
    const suited = shippedCatalogue.supplies.filter(
      ({ voltageV, source = 'mains' }) => voltageV === circuit.voltageV && source === 'mains',
    );
    const offered = await offeredIn('Supply');
    expect(offered).toHaveLength(suited.length + 1);
    for (const { name } of suited) expect(offered.some((told) => told.startsWith(name))).toBe(true);
    expect(toldUnder('Supply')).toContain(`${circuit.neededWatts.toFixed(0)} W needed`);
  });

  it('tells each other way to feed it with what is spare and what it costs, and takes one at a click', async () => {
    const user = userEvent.setup();
    shown(SupplyFields, white);
    const rows = within(table()).getAllByRole('row').slice(1);
    expect(rows.filter(({ textContent }) => textContent.endsWith('taken'))).toHaveLength(1);
    for (const row of rows) expect(row.textContent).toMatch(/\d+ W.*\d+ %.*\d+\.\d\d/);
    const [take] = within(table()).getAllByRole('button');
    const [, count, name] = /^Take (\d+) × (.*)$/.exec(take!.getAttribute('aria-label')!)!;
    await user.click(take!);
    const { supplyId, supplyCount } = power();
    expect(shippedCatalogue.supplies.find(({ id }) => id === supplyId)!.name).toBe(name);
    expect(supplyCount).toBe(Number(count));
  });

  it('takes how many there are and how much stays spare, and refuses what cannot be', async () => {
    shown(SupplyFields, white);
    await typeInto('Supplies', '2');
    expect(power().supplyCount).toBe(2);
    await typeInto('Headroom', '35 %');
    expect(power().headroomShare).toBeCloseTo(0.35, 12);
    await typeInto('Headroom', 'much');
    expect(power().headroomShare).toBeCloseTo(0.35, 12);
    expect(screen.getByRole('alert').textContent).toContain('“much” is not a number');
    await typeInto('Supplies', '0');
    expect(power().supplyCount).toBe(2);
  });

  it('is chosen by where the current comes from and where it stands', async () => {
    shown(SupplyFields, white);
    expect(chosenIn('Fed by')).toBe('the mains');
    expect(chosenIn('It stands')).toBe('by the socket');
    await choose('It stands', 'inside the sign');
    await choose('Fed by', 'a battery');
    expect(power()).toMatchObject({ supplyPlace: 'inside', source: 'battery' });
  });

  const onBattery = (design: Design): Promise<Evaluation> =>
    litOf(changed(design, [set(inDesign.power.source, 'battery'), set(inDesign.power.supplyId, 'auto')]));

  it('of a battery, says how long it lasts and at how much of its light it ends', async () => {
    const lit = await onBattery(white.design);
    shown(SupplyFields, lit);
    const { hours, lightAtEnd } = lit.circuit.runTime!;
    expect(toldUnder('Supply')).toContain(
      `full, it lasts ${hours.toFixed(1)} h and ends at ${Math.round(lightAtEnd * 100)} % of its light`,
    );
  });

  it('that there is none of, says what none gives', async () => {
    const lit = await onBattery(demoDesigns.curlew);
    shown(SupplyFields, lit);
    expect(lit.circuit.supply).toBeNull();
    expect(toldUnder('Supply')).toMatch(/none in the catalogue gives \d+ W at 12 V so/);
  });

  it('inside the sign, tells the heat that it adds', async () => {
    const lit = await litOf(changed(white.design, [set(inDesign.power.supplyPlace, 'inside')]));
    shown(SupplyFields, lit);
    const watts = lit.assemblies.reduce((sum, { heat }) => sum + heat.supplyWatts, 0);
    expect(watts).toBeGreaterThan(0);
    expect(toldUnder('It stands')).toContain(`${watts.toFixed(1)} W of heat`);
  });
});

describe('how segments hang together', () => {
  it('offers each kind of joint once, and tells what it carries', async () => {
    shown(FeedFields, white);
    const kinds = new Set(shippedCatalogue.joints.map(({ kind }) => kind));
    expect(await offeredIn('Joined by')).toHaveLength(kinds.size);
    expect(toldUnder('Joined by')).toContain(`carries ${white.circuit.joint.ratedA} A`);
    expect(screen.queryByRole('list', { name: 'Pairs' })).toBeNull();
    await choose('Runs fed', 'at both ends');
    expect(power().feed).toBe('both-ends');
  });

  it('asks which connector where a kind has several', async () => {
    const several = shippedCatalogue.joints.find(
      ({ kind, id }) => shippedCatalogue.joints.findIndex((other) => other.kind === kind && other.id !== id) >= 0,
    )!;
    const lit = await litOf(changed(white.design, [set(inDesign.power.joint, several.kind)]));
    shown(FeedFields, lit);
    const same = shippedCatalogue.joints.filter(({ kind }) => kind === several.kind);
    await choose('Which connector', new RegExp(`^${same[1]!.name.replace(/[()]/g, '.')}`));
    expect(power().jointId).toBe(same[1]!.id);
  });

  it('tells the lead that was chosen with what it loses, and its fuse', () => {
    shown(FeedFields, white);
    const { lead, leadDropV, fuseA } = white.circuit;
    expect(toldUnder('Lead')).toContain(lead.name);
    expect(toldUnder('Lead')).toContain(`loses ${leadDropV.toFixed(2)} V; fuse ${fuseA} A`);
  });

  describe('two and two in series', () => {
    let series: Evaluation;
    beforeAll(async () => {
      series = await litOf(changed(white.design, [set(inDesign.power.arrangement, 'series-pairs')]));
    });
    const rows = () => within(screen.getByRole('list', { name: 'Pairs' })).getAllByRole('listitem');

    it('lists the pairs with the volts of each, that make up the whole, and what is left alone', () => {
      shown(FeedFields, series);
      const { pairs, alone, voltageV } = series.circuit;
      expect(rows()).toHaveLength(pairs.length + alone.length);
      expect(pairs.length).toBeGreaterThan(0);
      expect(alone).toHaveLength(0);
      for (const row of rows()) {
        const [, one, other] = /([\d.]+) \+ ([\d.]+) V/.exec(row.textContent)!;
        expect(Number(one) + Number(other)).toBeCloseTo(voltageV, 0);
      }
      expect(screen.queryByLabelText('Runs fed')).toBeNull();
    });

    it('says of a segment that none is left for that it gets all the volts', async () => {
      const letters = changed(demoDesigns.curlew, [set(inDesign.power.arrangement, 'series-pairs')]);
      const odd = await litOf(letters);
      shown(FeedFields, odd);
      const [left] = odd.circuit.alone;
      expect(rows().at(-1)!.textContent).toBe(`${odd.circuit.segments[left!]!.label} alone on 24 V`);
    });

    it('takes a pair that is put together by hand', async () => {
      const user = userEvent.setup();
      shown(FeedFields, series);
      const { segments } = series.circuit;
      const last = segments.length - 1;
      await choose('First of the pair', segments[0]!.label);
      await choose('Second of the pair', segments[last]!.label);
      await user.click(screen.getByRole('button', { name: 'Pair' }));
      expect(power().seriesPairs).toEqual([{ first: segments[0]!.ref, second: segments[last]!.ref }]);
    });
  });

  it('in groups, asks how many pairs of them there are', async () => {
    const lit = await litOf(changed(coloured.design, [set(inDesign.power.arrangement, 'series-groups')]));
    shown(FeedFields, lit);
    expect(typedIn('Pairs of groups')).toBe('1');
    await typeInto('Pairs of groups', '2');
    expect(power().groupPairs).toBe(2);
    expect(screen.queryByRole('button', { name: 'Pair' })).toBeNull();
  });
});

describe('how the light is set', () => {
  it('offers controllers of its signal and volts, none of them an amplifier', async () => {
    shown(ControlFields, coloured);
    const offered = await offeredIn('Controller');
    const suited = shippedCatalogue.controllers.filter(
      ({ signal, kind, voltagesV }) => signal === 'channels' && kind !== 'amplifier' && voltagesV.includes(12),
    );
    expect(offered).toEqual(['chosen by load', 'none', ...suited.map(({ name }) => name)]);
  });

  it('tells the load of an output, and how far each colour is up', () => {
    shown(ControlFields, coloured);
    const { drive, channels, setWatts, watts } = coloured.circuit;
    expect(toldUnder('Controller')).toContain(drive.controller!.name);
    const mix = screen.getByText(/W as set/).textContent;
    for (const { name, level } of channels) expect(mix).toContain(`${name} ${Math.round(100 * level)} %`);
    expect(mix).toContain(`${setWatts.toFixed(1)} W as set, ${watts.toFixed(1)} W with everything full`);
  });

  it('says that none is needed where a switch does', async () => {
    shown(ControlFields, await litOf(demoDesigns['ticket-hall']));
    expect(toldUnder('Controller')).toContain('a switch will do');
    expect(screen.queryByLabelText('It sits')).toBeNull();
  });

  it('asks for the eye of a remote only where its controller is shut in', async () => {
    shown(ControlFields, coloured);
    expect(screen.queryByLabelText('Its eye')).toBeNull();
    await choose('It sits', 'inside the sign');
    expect(chosenIn('Its eye')).toBe('is shut in');
    await choose('Its eye', 'looks out through a hole');
    expect(power()).toMatchObject({ controllerPlace: 'inside', sensorWindow: true });
  });

  it('turns the light down, by day and of that after dark; indoors there is no dark', async () => {
    const outdoors = changed(coloured.design, [set(inDesign.brief.surroundings, 'town')]);
    shown(ControlFields, { ...coloured, design: outdoors });
    await typeInto('Turned up', '70');
    await typeInto('Of that, after dark', '40 %');
    expect(power().level).toBeCloseTo(0.7, 12);
    expect(power().nightLevel).toBeCloseTo(0.4, 12);
  });

  it('asks for no night indoors', () => {
    const indoors = changed(coloured.design, [set(inDesign.brief.surroundings, 'indoors')]);
    shown(ControlFields, { ...coloured, design: indoors });
    expect(screen.queryByLabelText('Of that, after dark')).toBeNull();
  });

  it('turns each zone up by itself, and names what is in it', async () => {
    const [first, ...others] = coloured.circuit.segments.map(({ ref }) => ref);
    const zones = [
      { segments: [first!], level: 0.5 },
      { segments: others, level: 1 },
    ];
    const lit = await litOf(changed(coloured.design, [set(inDesign.power.zones, zones)]));
    shown(ControlFields, lit);
    expect(typedIn('Zone 1')).toBe('50 %');
    expect(toldUnder('Zone 1')).toContain(`segment ${lit.circuit.segments[0]!.label}`);
    for (const { label } of lit.circuit.segments.slice(1)) expect(toldUnder('Zone 2')).toContain(label);
    await typeInto('Zone 2', '80');
    expect(power().zones!.map(({ level }) => level)).toEqual([0.5, 0.8]);
  });
});
