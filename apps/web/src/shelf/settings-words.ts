import { operations, usualColours, type LayerColours, type Operation, type Rates } from '@vitrum/core';

/** The shop’s settings as they are typed. */
export interface SettingsForm {
  readonly currency: string;
  readonly labourPerHour: string;
  readonly energyPerKwh: string;
  readonly kerfMm: string;
  readonly wastePercent: string;
  readonly colours: LayerColours;
}

/** What is done on each layer of a file for a machine. */
export const operationWords: Readonly<Record<Operation, string>> = {
  mark: 'Marks, not cut',
  film: 'Film on a sheet',
  engrave: 'Engraved',
  drill: 'Drilled',
  seat: 'Grooves and rabbets',
  rout: 'Routed areas',
  'bit-path': 'Way of the bit',
  cut: 'Cut through',
  tab: 'Over a tab',
};

export const settingsOf = ({
  currency,
  labourPerHour,
  energyPerKwh,
  kerfMm,
  wasteShare,
  machineColours,
}: Rates): SettingsForm => ({
  currency,
  labourPerHour: `${labourPerHour}`,
  energyPerKwh: `${energyPerKwh}`,
  kerfMm: `${kerfMm}`,
  wastePercent: `${Math.round(wasteShare * 1000) / 10}`,
  colours: { ...usualColours, ...machineColours },
});

const number = (text: string): number => (text.trim() === '' ? Number.NaN : Number(text.trim().replace(',', '.')));

const bounds = {
  labourPerHour: [10_000, 'an amount of money, 0 to 10,000'],
  energyPerKwh: [10_000, 'an amount of money, 0 to 10,000'],
  kerfMm: [20, 'a width in mm, 0 to 20'],
  wastePercent: [90, 'per cent, 0 to 90'],
} as const;

/** What is wrong in the form, by field; empty where nothing is. */
export const wrongSettings = (form: SettingsForm): Readonly<Partial<Record<keyof SettingsForm, string>>> => ({
  ...(form.currency.trim() === '' || form.currency.trim().length > 8
    ? { currency: 'the sign of your money, at most 8 letters' }
    : {}),
  ...Object.fromEntries(
    Object.entries(bounds).flatMap(([field, [most, message]]) => {
      const value = number(form[field as keyof typeof bounds]);
      return value >= 0 && value <= most ? [] : [[field, message]];
    }),
  ),
});

/** What is sent: colours only where they are not the usual ones. */
export const settingsToSend = (form: SettingsForm) => ({
  currency: form.currency.trim(),
  labourPerHour: number(form.labourPerHour),
  energyPerKwh: number(form.energyPerKwh),
  kerfMm: number(form.kerfMm),
  wasteShare: number(form.wastePercent) / 100,
  machineColours: Object.fromEntries(
    operations.filter((each) => form.colours[each] !== usualColours[each]).map((each) => [each, form.colours[each]]),
  ),
});
