import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { changed, dispensary, inAssembly, evaluated, testFonts } from '../../testing/harness.js';
import { colourOf, luminanceOf, planckianRgb, throughTint } from '../colour/index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const glowOf = (change: Readonly<Record<string, unknown>>) => evaluated(changed(dispensary, change), fonts).glow;
const box = (change: Readonly<Record<string, unknown>>) => glowOf(inAssembly(change));

describe('the glow moves as physics says', () => {
  it('a deeper case is more even', () => {
    const [shallow, deep] = [box({ 'case.depthInsideMm': 60 }), box({ 'case.depthInsideMm': 120 })];
    expect(deep.evenness.dotContrast).toBeLessThan(shallow.evenness.dotContrast / 2);
    expect(deep.evenness.dotsVanishAtMm).toBeLessThan(shallow.evenness.dotsVanishAtMm);
  });

  it('closer rows are more even and brighter', () => {
    const [two, four] = [box({ 'light.rowCount': 2 }), box({ 'light.rowCount': 4 })];
    expect(four.evenness.dotContrast).toBeLessThan(two.evenness.dotContrast);
    expect(four.evenness.meanCdM2).toBeGreaterThan(1.6 * two.evenness.meanCdM2);
  });

  it('a stronger diffuser hides more and costs light', () => {
    const [sanded, opal] = [box({ 'face.sheetId': 'sanded-both-3' }), box({ 'face.sheetId': 'opal-3' })];
    expect(opal.evenness.dotContrast).toBeLessThan(sanded.evenness.dotContrast / 3);
    expect(opal.balance.outLm).toBeLessThan(sanded.balance.outLm);
  });

  it('one sanded face shows the LEDs as points, more than two do', () => {
    const [one, both] = [box({ 'face.sheetId': 'sanded-one-3' }), box({ 'face.sheetId': 'sanded-both-3' })];
    expect(one.evenness.dots.contrast).toBeGreaterThan(both.evenness.dots.contrast);
    expect(one.evenness.dots.contrast).toBeGreaterThan(0.2);
  });

  it('a whiter inside is brighter and more even', () => {
    const [bare, white] = [box({ 'case.liningId': 'bare-ply' }), box({ 'case.liningId': 'white-film' })];
    expect(white.evenness.meanCdM2).toBeGreaterThan(bare.evenness.meanCdM2);
    expect(white.evenness.minOverMean).toBeGreaterThan(bare.evenness.minOverMean);
    expect(white.indirectShare).toBeGreaterThan(bare.indirectShare);
  });

  it('a dimmer end of a run is seen in the light', () => {
    const near = evaluated(
      changed(dispensary, { ...inAssembly({ 'light.rowCount': 6 }), 'brief.leadLengthMm': 100 }),
      fonts,
    );
    const far = evaluated(
      changed(dispensary, {
        ...inAssembly({ 'light.rowCount': 6 }),
        'brief.leadLengthMm': 20_000,
        'power.wireId': 'pair-0.35',
      }),
      fonts,
    );
    expect(far.glow.evenness.meanCdM2).toBeLessThan(0.9 * near.glow.evenness.meanCdM2);
  });
});

describe('the luminous flux balances', () => {
  it.each([
    {},
    inAssembly({ 'light.layout': 'rim', 'light.turnCount': 2 }),
    inAssembly({ 'case.depthInsideMm': 12 }),
    inAssembly({ 'face.sheetId': 'diffusing-3', 'case.liningId': 'white-film' }),
  ])('emitted is out plus absorbed: %j', (change) => {
    const { balance } = glowOf(change);
    const spent = balance.outLm + balance.absorbedFaceLm + balance.absorbedCaseLm;
    expect(spent / balance.emittedLm).toBeCloseTo(1, 6);
  });

  it('the map of a Lambertian face carries what the balance says', () => {
    const { grid, luminance: ground, balance } = box({});
    const carried =
      ground.reduce((sum, luminance) => sum + luminance, 0) * Math.PI * grid.cellWidthMm * grid.cellHeightMm * 1e-6;
    expect(carried / balance.outLm).toBeCloseTo(1, 1);
    expect(Math.abs(carried / balance.outLm - 1)).toBeLessThan(0.015);
  });
});

describe('letters and masks', () => {
  it('cover their own share of the face', () => {
    const { lettering, glow } = evaluated(dispensary, fonts);
    const covered =
      glow.letters.reduce((sum, share) => sum + share, 0) * glow.grid.cellWidthMm * glow.grid.cellHeightMm;
    expect(covered / lettering.areaMm2).toBeCloseTo(1, 1);
  });

  it('judge the letters alone when only letters are lit', () => {
    const [ground, letters] = [box({}), box({ 'artwork.mode': 'lit-letters', 'artwork.capHeightMm': 40 })];
    expect(letters.evenness.minOverMean).toBeGreaterThan(ground.evenness.minOverMean);
  });

  it('leave finite figures when nothing is written', () => {
    const { evenness } = glowOf({ 'brief.text': '', ...inAssembly({ 'artwork.mode': 'lit-letters' }) });
    expect(evenness.meanCdM2).toBeGreaterThan(0);
  });
});

describe('daylight', () => {
  it('drowns the sign the more of it there is', () => {
    const ratios = box({}).daylight.map(({ litOverUnlit }) => litOverUnlit);
    expect([...ratios].sort((a, b) => a - b)).toEqual(ratios);
    expect(ratios[0]).toBeGreaterThan(1);
  });

  it('is the luminance over what the unlit face gives back', () => {
    const { daylight, evenness, faceReflectance } = box({});
    const shop = daylight.find(({ ambient }) => ambient === 'shop')!;
    expect(shop.litOverUnlit - 1).toBeCloseTo((evenness.meanCdM2 * Math.PI) / (500 * faceReflectance), 6);
  });
});

describe('colour', () => {
  it('is at luminance one for every white, warmer with more red', () => {
    for (const kelvin of [1800, 2700, 4000, 6500, 10_000]) expect(luminanceOf(planckianRgb(kelvin))).toBeCloseTo(1, 6);
    expect(planckianRgb(2700)[0]).toBeGreaterThan(planckianRgb(6500)[0]);
    planckianRgb(6504).forEach((channel) => expect(Math.abs(channel - 1)).toBeLessThan(0.06));
  });

  it('of mixed light gives its luminous share, and black none', () => {
    const rgb = { colour: 'rgb', lumensPerM: 400, whitesK: [] } as const;
    const lumens = (colour: string) => colourOf({ kind: 'rgb', colour }, rgb).lumensPerM;
    expect(lumens('#ffffff')).toBeCloseTo(400, 6);
    expect(lumens('#00ff00')).toBeCloseTo(0.7152 * 400, 6);
    expect(lumens('#000000')).toBe(0);
  });

  it('on a strip with a white channel comes from that as far as it is common to all three', () => {
    const rgbw = { colour: 'rgbw', lumensPerM: 400, whiteLumensPerM: 650, whitesK: [4000] } as const;
    const lumens = (colour: string) => colourOf({ kind: 'rgb', colour }, rgbw).lumensPerM;
    expect(lumens('#ffffff')).toBeCloseTo(650, 3);
    expect(lumens('#ff0000')).toBeCloseTo(0.2126 * 400, 6);
    expect(lumens('#ff8080')).toBeGreaterThan(lumens('#ff0000'));
    expect(colourOf({ kind: 'white', cctK: 4000 }, rgbw).lumensPerM).toBe(650);
  });

  it('is filtered by a coloured face: red light passes a red sheet, blue hardly', () => {
    const red = [3.9, 0.23, 0.12] as const;
    expect(throughTint([1 / 0.2126, 0, 0], red).luminanceShare).toBeCloseTo(3.9, 6);
    expect(throughTint([0, 0, 1 / 0.0722], red).luminanceShare).toBeCloseTo(0.12, 6);
    const { hue } = throughTint([1, 1, 1], red);
    expect(luminanceOf(hue)).toBeCloseTo(1, 6);
    expect(hue[0]).toBeGreaterThan(10 * hue[1]);
  });
});
