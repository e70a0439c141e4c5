import { describe, expect, it } from '@jest/globals';
import { operations, shippedCatalogue } from '@vitrum/core';
import { operationWords, settingsOf, settingsToSend, wrongSettings } from './settings-words';

const form = settingsOf(shippedCatalogue.rates);

describe('the shop’s settings', () => {
  it('come back as they were; colours are sent where they are not the usual ones', () => {
    const { currency, labourPerHour, energyPerKwh, kerfMm, wasteShare } = shippedCatalogue.rates;
    expect(settingsToSend(form)).toEqual({
      currency,
      labourPerHour,
      energyPerKwh,
      kerfMm,
      wasteShare,
      machineColours: {},
    });
    const own = { ...form, colours: { ...form.colours, cut: '#0000ff' }, wastePercent: '12,5' };
    expect(settingsToSend(own)).toMatchObject({ machineColours: { cut: '#0000ff' }, wasteShare: 0.125 });
    expect(settingsOf({ ...shippedCatalogue.rates, machineColours: { cut: '#0000ff' } }).colours.cut).toBe('#0000ff');
  });

  it('say what is wrong, field by field', () => {
    expect(wrongSettings(form)).toEqual({});
    expect(Object.keys(wrongSettings({ ...form, currency: ' ', kerfMm: '-1', wastePercent: 'some' }))).toEqual([
      'currency',
      'kerfMm',
      'wastePercent',
    ]);
    expect(wrongSettings({ ...form, labourPerHour: '' })).toHaveProperty('labourPerHour');
  });

  it('name every operation', () => {
    expect(Object.keys(operationWords).sort()).toEqual([...operations].sort());
  });
});
