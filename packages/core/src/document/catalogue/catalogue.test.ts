import { describe, expect, it } from '@jest/globals';
import { findItem, shippedCatalogue, type CatalogueKind } from './index.js';

const { strips, faces, films, supplies, wires, boards, linings } = shippedCatalogue;
const kinds = Object.keys(shippedCatalogue).filter((kind): kind is CatalogueKind => kind !== 'rates');

describe('the shipped catalogue', () => {
  it.each(kinds)('has %s with ids of their own, names, prices, and their provenance', (kind) => {
    const items = shippedCatalogue[kind];
    expect(new Set(items.map(({ id }) => id)).size).toBe(items.length);
    for (const { name, price, provenance } of items) {
      expect(name.length).toBeGreaterThan(3);
      expect(price).toBeGreaterThanOrEqual(0);
      expect(provenance).toBe('typical');
    }
  });

  it.each(faces.map((face) => [face.id, face] as const))(
    '%s does not make light: what passes and what returns is at most all',
    (_, face) => {
      expect(face.transmittance + face.reflectance).toBeLessThanOrEqual(1);
      expect(face.transmittance).toBeGreaterThan(0);
      if (face.scatter.kind === 'lobe') expect(face.scatter.hazeShare).toBeLessThanOrEqual(1);
    },
  );

  it.each(films.map((film) => [film.id, film] as const))('%s neither', (_, film) => {
    film.transmittanceRgb.forEach((passed, channel) =>
      expect(passed + film.reflectanceRgb[channel]!).toBeLessThanOrEqual(1),
    );
  });

  it.each(strips.map((strip) => [strip.id, strip] as const))(
    '%s is cut at whole LEDs and conducts below its voltage',
    (_, strip) => {
      const ledsPerCut = (strip.cutPitchMm * strip.ledsPerM) / 1000;
      expect(Math.abs(ledsPerCut - Math.round(ledsPerCut))).toBeLessThan(1e-9);
      expect(strip.forwardV).toBeLessThan(strip.voltageV);
      expect(strip.lumensPerM / strip.wattsPerM).toBeLessThan(200);
      expect(strip.reelMm).toBeGreaterThan(strip.cutPitchMm);
    },
  );

  it('has a thicker wire for every higher rating, and linings that reflect less than all', () => {
    const byArea = wires.filter(({ cores = 2 }) => cores === 2).sort((a, b) => a.areaMm2 - b.areaMm2);
    byArea.slice(1).forEach((wire, index) => expect(wire.ampacityA).toBeGreaterThan(byArea[index]!.ampacityA));
    for (const { reflectance } of linings) expect(reflectance).toBeLessThan(1);
  });

  it('has a supply for every voltage a strip takes, indoors and out', () => {
    for (const { voltageV } of strips)
      for (const weatherproof of [true, false])
        expect(supplies.some((supply) => supply.voltageV === voltageV && supply.weatherproof === weatherproof)).toBe(
          true,
        );
  });

  it('has boards for returns and for backs', () => {
    for (const use of ['return', 'back'] as const) expect(boards.some(({ uses }) => uses.includes(use))).toBe(true);
  });
});

describe('finding items', () => {
  it('says so when there is nothing of a kind', () => {
    const found = findItem([], 'a', 'p');
    expect(found.ok ? '' : found.problems[0]?.message).toContain('nothing of that kind');
  });
});

describe('what feeds and drives', () => {
  const { supplies, controllers, strips, wires } = shippedCatalogue;

  it('has names and figures of its own, none of them absurd', () => {
    for (const list of [supplies, controllers]) expect(new Set(list.map(({ id }) => id)).size).toBe(list.length);
    for (const { watts, voltageV, price, kg } of supplies)
      expect(Math.min(watts, voltageV, price, kg)).toBeGreaterThan(0);
    for (const { signal, channelA, totalA, channels, maxPixels, dataReachMm } of controllers) {
      if (signal === 'data') expect(maxPixels! > 0 && dataReachMm! > 0).toBe(true);
      else expect(channelA > 0 && totalA >= channelA && totalA <= channels * channelA).toBe(true);
    }
  });

  it('has batteries that hold more when full, by a margin that cells have', () => {
    const batteries = supplies.flatMap(({ battery, voltageV }) =>
      battery === undefined ? [] : [{ battery, voltageV }],
    );
    expect(batteries.length).toBeGreaterThan(0);
    for (const { battery, voltageV } of batteries) {
      expect(battery.fullV).toBeGreaterThan(voltageV);
      expect(battery.cutOffV).toBeLessThan(voltageV);
      expect(battery.usableShare > 0.5 && battery.usableShare < 1).toBe(true);
    }
  });

  it('has a mains supply and a controller for the voltage of every strip that wants one', () => {
    for (const { voltageV, colour, addressable, name } of strips) {
      expect([name, supplies.some((supply) => supply.voltageV === voltageV && supply.source === undefined)]).toEqual([
        name,
        true,
      ]);
      const signal = addressable === true ? 'data' : 'channels';
      const wanted = colour !== 'white' || addressable === true;
      const there = controllers.some((item) => item.signal === signal && item.voltagesV.includes(voltageV));
      expect([name, !wanted || there]).toEqual([name, true]);
    }
  });

  it('has wires that may carry more the thicker they are, and less an area of copper', () => {
    const byArea = wires.filter(({ cores = 2 }) => cores === 2).sort((a, b) => a.areaMm2 - b.areaMm2);
    byArea.slice(1).forEach(({ ampacityA, areaMm2 }, index) => {
      const thinner = byArea[index]!;
      expect(ampacityA).toBeGreaterThan(thinner.ampacityA);
      expect(ampacityA / areaMm2).toBeLessThan(1.2 * (thinner.ampacityA / thinner.areaMm2));
    });
  });
});
