import { describe, expect, it } from '@jest/globals';
import { shippedCatalogue, type Catalogue, type Controller } from '../../document/catalogue/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import type { Brief, PowerDesign } from '../../document/design/index.js';
import { chooseDrive, suitsDrive, type DriveNeeds } from './choose-controller.js';

const { brief, power } = demoDesigns.slipway;
const stripOf = (id: string) => shippedCatalogue.strips.find((strip) => strip.id === id)!;
const [white, rgb, pixels] = ['zigzag-12v-120', 'rgb-12v-60', 'pixels-5v-60'].map(stripOf);
const plain: Brief = { ...brief, control: 'switch' };

const needs = (change: Partial<DriveNeeds> = {}): DriveNeeds => ({
  voltageV: 12,
  outputs: 1,
  outputA: 1,
  totalA: 1,
  pixels: 0,
  ...change,
});
const drive = (
  strip: typeof white,
  asked: DriveNeeds,
  {
    own = plain,
    by = {},
    zones = 1,
    catalogue = shippedCatalogue,
  }: {
    own?: Brief;
    by?: Partial<PowerDesign>;
    zones?: number;
    catalogue?: Catalogue;
  } = {},
) => chooseDrive(catalogue, own, { ...power, ...by }, strip!, zones, asked);

describe('what drives a strip', () => {
  it('is nothing where a switch will do, and something wherever colours, pixels, zones or the brief ask for it', () => {
    expect(drive(white, needs())).toMatchObject({ wanted: false, controller: null, amplifiers: 0 });
    expect(drive(rgb, needs({ outputs: 3 })).wanted).toBe(true);
    expect(drive(pixels, needs({ voltageV: 5, pixels: 60 })).wanted).toBe(true);
    expect(drive(white, needs({ outputs: 2 }), { zones: 2 }).wanted).toBe(true);
    expect(drive(white, needs(), { own: { ...brief, control: 'knob' } }).controller).toMatchObject({ remote: 'none' });
    expect(drive(white, needs(), { own: { ...brief, control: 'remote' } }).controller!.remote).not.toBe('none');
  });

  it('is the cheapest that carries one output and all of them, with headroom for neither', () => {
    const carrying = (outputA: number, totalA: number) =>
      drive(rgb, needs({ outputs: 3, outputA, totalA })).controller!;
    for (const [outputA, totalA] of [
      [1.9, 5],
      [2.1, 5],
      [4.9, 12],
      [7, 20],
    ] as const) {
      const found = carrying(outputA, totalA);
      expect(found.channelA >= outputA && found.totalA >= totalA).toBe(true);
      const cheaper = shippedCatalogue.controllers.filter(
        (item) =>
          item.kind !== 'amplifier' &&
          item.remote !== 'none' &&
          suitsDrive(item, rgb!, needs({ outputs: 3 })) &&
          item.channelA >= outputA &&
          item.totalA >= totalA &&
          item.price < found.price,
      );
      expect(cheaper).toEqual([]);
    }
    // What nothing carries is given the strongest there is; the findings say so.
    expect(carrying(50, 150).channelA).toBe(8);
  });

  it('is as chosen by hand, or none where that was chosen', () => {
    const by = (controllerId: string) => drive(rgb, needs({ outputs: 3 }), { by: { controllerId } }).controller;
    expect(by('rgbw-radio-4-large')!.id).toBe('rgbw-radio-4-large');
    expect(by('none')).toBeNull();
    expect(by('moon')).toBeNull();
  });

  it('is repeated beside each further supply, but for data', () => {
    const three = { by: { supplyCount: 3 } };
    expect(drive(rgb, needs({ outputs: 3 }), three)).toMatchObject({ amplifiers: 2, amplifier: { kind: 'amplifier' } });
    expect(drive(pixels, needs({ voltageV: 5, pixels: 60 }), three)).toMatchObject({ amplifiers: 0, amplifier: null });
    const without: Catalogue = {
      ...shippedCatalogue,
      controllers: shippedCatalogue.controllers.filter(({ kind }) => kind !== 'amplifier'),
    };
    expect(drive(rgb, needs({ outputs: 3 }), { ...three, catalogue: without }).amplifier).toBeNull();
  });

  it('suits by kind of signal, voltage, outputs and pixels, whatever it carries', () => {
    const item = (id: string): Controller => shippedCatalogue.controllers.find((each) => each.id === id)!;
    expect(suitsDrive(item('pixel-infrared'), pixels!, needs({ voltageV: 5, pixels: 300 }))).toBe(true);
    expect(suitsDrive(item('pixel-infrared'), pixels!, needs({ voltageV: 5, pixels: 301 }))).toBe(false);
    expect(suitsDrive(item('pixel-infrared'), rgb!, needs({ outputs: 3 }))).toBe(false);
    expect(suitsDrive(item('rgb-infrared-3'), rgb!, needs({ outputs: 4 }))).toBe(false);
    expect(suitsDrive(item('rgb-infrared-3'), rgb!, needs({ voltageV: 5, outputs: 3 }))).toBe(false);
    expect(suitsDrive(item('rgb-infrared-3'), rgb!, needs({ outputs: 3, outputA: 99, totalA: 99 }))).toBe(true);
  });
});
