import {
  buildOf,
  workPhases,
  type Lesson,
  type Learned,
  type Rates,
  type StripFigure,
  type WorkPhase,
} from '@vitrum/core';
import { phaseName } from '../bench-log/work-words';

/** “1.46, between 1.31 and 1.62”. */
export const factorWords = ({ factor, low, high }: Pick<Learned, 'factor' | 'low' | 'high'>): string =>
  `${factor.toFixed(2)}, between ${low.toFixed(2)} and ${high.toFixed(2)}`;

/** A figure of a strip, for a metre. */
export const perMetre = (figure: StripFigure, value: number): string =>
  figure === 'wattsPerM' ? `${value.toFixed(2)} W/m` : `${value.toFixed(0)} lm/m`;

/** A reading with its unit. */
export const readingWords = (value: number, unit: string): string =>
  `${value < 10 ? value.toFixed(2) : value.toFixed(0)} ${unit}`;

/** Phases whose times are the shop’s own. */
export const learnedPhases = ({ learnedTimes }: Pick<Rates, 'learnedTimes'>): readonly WorkPhase[] =>
  workPhases.filter((phase) => learnedTimes?.[phase] !== undefined);

/** Whose times are reckoned with. */
export const timesWords = (learned: readonly WorkPhase[]): string => {
  if (learned.length === 0) return 'Times are typical.';
  const names = learned.map((phase) => phaseName({ phase }).toLowerCase());
  const last = names.at(-1)!;
  const list = names.length === 1 ? last : `${names.slice(0, -1).join(', ')} and ${last}`;
  return `Times to ${list} are this shop’s own, others typical.`;
};

const buildName = (build: string): string => {
  try {
    return buildOf({ build }).words.name.toLowerCase();
  } catch {
    return build;
  }
};

/** What a lesson is about, in words. */
export const aboutWords = ({ about, key }: Pick<Lesson, 'about' | 'key'>): string => {
  if (about === 'build') return `every job: ${buildName(key)}`;
  if (about === 'finding') return `when “${key.replaceAll('-', ' ')}” is found`;
  if (about === 'item') return `wherever it is used: ${key}`;
  const [build = '', step = ''] = key.split(':');
  return `step “${step.replaceAll('-', ' ')}” of ${buildName(build)}`;
};
