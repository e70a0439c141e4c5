import { CaredDto, FloorDto, PlanPaperDto, QuoteTermsDto, WallSetupDto } from '@vitrum/contract';
import { wallProblem, type WallSetup } from '@vitrum/core';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { problemsOf } from '../common/problems.js';
import { sizeOfWallPhoto } from '../walls/wall-photo.js';

type Fields = Readonly<Record<string, unknown>>;

/** What is wrong with a value by the form that requests of its kind are held against; null where it is sound. */
const formProblem = (Form: new () => object, value: unknown): string | null => {
  const [problem] = problemsOf(validateSync(plainToInstance(Form, value), { whitelist: true }));
  return problem === undefined ? null : `${problem.path}: ${problem.message}`;
};

const isText = (value: unknown): boolean => typeof value === 'string' && value.length <= 400;
const isNumber = (value: unknown): boolean => Number.isFinite(value) && Number(value) >= 0;
const isPair = (value: unknown): boolean => Array.isArray(value) && value.length === 2 && value.every(Number.isFinite);

const factChecks: Readonly<Record<string, (value: unknown) => boolean>> = {
  name: isText,
  size: isText,
  currency: isText,
  kg: isNumber,
  quantity: isNumber,
  materials: isNumber,
  hours: isNumber,
  watts: isNumber,
  hoursPerDay: isNumber,
  ratePerHour: isNumber,
  tariffPerKwh: isNumber,
  stripC: isPair,
  outsideQuote: (value) => value === null || isNumber(value),
  includes: (value) => Array.isArray(value) && value.every(isText),
};

const factsProblem = (facts: Fields): string | null => {
  const wrong = Object.entries(factChecks).find(([key, fits]) => !fits(facts[key]));
  return wrong === undefined ? null : `facts.${wrong[0]} is not what a quote says`;
};

const isNeed = (need: unknown): boolean => {
  const { kind, itemId, lineId, name, form, unit, amount, each } = (need ?? {}) as Fields;
  return (
    [kind, itemId, lineId, name, unit].every(isText) &&
    ['lengths', 'sheets', 'amount'].includes(form as string) &&
    isNumber(amount) &&
    isNumber(each)
  );
};

/** What a paper of the shop holds, by its name. */
export const paperProblem = ({ name, data }: Fields): string | null =>
  formProblem(name === 'floor' ? FloorDto : PlanPaperDto, data);

/** What a quote says, and by what terms. */
export const quoteProblem = ({ facts, terms }: Fields): string | null =>
  factsProblem(facts as Fields) ?? formProblem(QuoteTermsDto, terms);

/** What a job has a claim to. */
export const claimProblem = ({ needs }: Fields): string | null =>
  Array.isArray(needs) && needs.every(isNeed) ? null : 'needs are not what a job takes from the shelf';

/** When a sign was looked after, by how often that is due. */
export const caredProblem = (cared: unknown): string | null => {
  for (const [everyMonths, on] of Object.entries(cared as Fields)) {
    const problem = formProblem(CaredDto, { everyMonths: Number(everyMonths), on });
    if (problem !== null) return `cared: ${problem}`;
  }
  return null;
};

/** A photograph of a wall, and where a sign is to hang on it. */
export const wallPhotoProblem = ({ photo, width, height, setup }: Fields): string | null => {
  const size = sizeOfWallPhoto(Buffer.from(photo as string, 'base64'));
  if (size === null || size.width !== width || size.height !== height)
    return 'the bytes are not the photograph they are said to be';
  if (setup === null) return null;
  const problem = formProblem(WallSetupDto, setup);
  return problem ?? wallProblem(setup as WallSetup, size)?.message ?? null;
};
