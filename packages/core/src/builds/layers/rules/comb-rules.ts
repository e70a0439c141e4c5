import { outlineCentroid } from '../../../base/outlines/index.js';
import { set } from '../../../document/design/index.js';
import type { Candidate, Remedy, Rule } from '../../../judging/findings/index.js';
import { fieldsIn } from '../../../judging/results/index.js';
import { cracks, type Fit } from '../../../making/fits/index.js';
import { middleOf, mm, noneLeft, placeAt } from '../../common/rule-words.js';
import { slotFit, type Comb } from '../combs.js';
import { slotWords } from '../parts.js';
import type { LayersResults } from '../results.js';
import { toothOf } from '../teeth.js';
import { withSheet } from './common.js';

const placeOf = ({ xMm }: Comb, { geometry: { inside }, scene }: LayersResults) =>
  placeAt([xMm, -inside.heightMm / 2 + (scene.combs?.highMm ?? 0) / 2], 12);

/** The tightest bounds of all slots: what the most delicate of the sheets in them bears. */
const fitOf = ({ scene }: LayersResults): Fit | null => {
  const { combs } = scene;
  if (combs === null) return null;
  const fits = combs.each[0]!.holds.map((at) => slotFit(combs.stock, scene.sheets[at]!.stock));
  return {
    overMm: Math.min(...fits.map(({ overMm }) => overMm)),
    leastMm: Math.max(...fits.map(({ leastMm }) => leastMm)),
    mostMm: Math.min(...fits.map(({ mostMm }) => mostMm)),
  };
};

/** By how much slots are beyond what holds without breaking (mm). */
const beyond = (results: LayersResults, way: 'tight' | 'loose'): number => {
  const fit = fitOf(results);
  const over = results.scene.combs?.overMm ?? 0;
  if (fit === null) return 0;
  const by = way === 'tight' ? over - fit.mostMm : fit.leastMm - over;
  return by > 1e-9 ? by : 0;
};

const misfit =
  (way: 'tight' | 'loose'): Rule<LayersResults> =>
  ({ results }) => {
    const { combs, sheets } = results.scene;
    const fit = fitOf(results);
    if (combs === null || fit === null || beyond(results, way) === 0) return null;
    const tight = way === 'tight';
    const limit = tight ? fit.mostMm : fit.leastMm;
    const brittle = [combs.stock, ...combs.each[0]!.holds.map((at) => sheets[at]!.stock)].some(({ stuff }) =>
      cracks(stuff),
    );
    return {
      id: `slots-${way}`,
      severity: 'fix',
      step: 'artwork',
      what: `Slots of the combs are too ${way}`,
      why: tight
        ? `Each is ${slotWords(combs.overMm)}; ${brittle ? 'acrylic cracks from the end of a slot' : 'teeth split off along the grain'} from ${limit.toFixed(2)} mm on (typical; try it on the test strip in the pack).`
        : `Each is ${slotWords(combs.overMm)}: looser than ${Math.abs(limit).toFixed(2)} mm ${limit < 0 ? 'of play' : 'narrower'} the sheet leans (typical; try it on the test strip in the pack).`,
      numbers: [
        { label: 'narrower', value: Math.round(100 * combs.overMm) / 100, unit: 'mm' },
        { label: tight ? 'usual most' : 'usual least', value: limit, unit: 'mm' },
      ],
      where: placeOf(combs.each[0]!, results),
      target: {
        label: `too ${way}`,
        unit: 'mm',
        better: 'lower',
        read: (tried) => beyond(tried, way),
        settled: (tried) => beyond(tried, way) === 0,
      },
      remedies: [
        {
          id: 'usual-slots',
          candidates: [
            { label: 'Slots with the usual fit', change: [set(fieldsIn(results).scene.combs.overMm, null)] },
          ],
        },
      ],
    };
  };

/** Sheets on spacers where a comb goes through. */
const meetings = ({ scene }: LayersResults): readonly { readonly comb: Comb; readonly at: number }[] =>
  (scene.combs?.each ?? []).flatMap((comb) => comb.meets.map((at) => ({ comb, at })));

/** Every sheet that could be in the combs into them, or all out of them. */
const allAlike = (results: LayersResults): Remedy => {
  const { sheets } = results.assembly.scene;
  const met = new Set(meetings(results).map(({ at }) => results.scene.sheets[at]!.index));
  const as = (held: 'combs' | 'spacers', which: (at: number) => boolean) =>
    set(
      fieldsIn(results).scene.sheets,
      sheets.map((sheet, at) => (which(at) ? { ...sheet, held } : sheet)),
    );
  return {
    id: 'hold-alike',
    candidates: [
      { label: 'What the combs meet stands in them too', change: [as('combs', (at) => met.has(at))] },
      { label: 'All sheets on spacers', change: [as('spacers', () => true)] },
    ],
  };
};

/** Combs nearer to the sides or to the middle. */
const otherPlace = (results: LayersResults): Remedy => {
  const { combs } = results.assembly.scene;
  const { widthMm } = results.geometry.inside;
  return {
    id: 'comb-elsewhere',
    candidates: combs
      ? [0.08, 0.14, 0.2, 0.27, 0.34, 0.4]
          .map((share) => Math.round(share * widthMm))
          .filter((insetMm) => Math.abs(insetMm - combs.insetMm) > 5)
          .map((insetMm): Candidate => ({
            label: `Combs ${insetMm} mm in from the sides`,
            change: [set(fieldsIn(results).scene.combs.insetMm, insetMm)],
          }))
      : [],
  };
};

/** A comb that would go through a sheet which stands by itself. */
const combMeetsSheet: Rule<LayersResults> = ({ results }) => {
  const [first] = meetings(results);
  if (first === undefined) return null;
  const sheet = results.scene.sheets[first.at]!;
  return {
    id: 'comb-meets-sheet',
    severity: 'stop',
    step: 'artwork',
    what: `A comb goes through ${sheet.sheet.name}`,
    why: `It runs from ${mm(first.comb.fromZMm)} to ${mm(first.comb.toZMm)} from the back, and ${sheet.sheet.name} stands on spacers at ${mm(sheet.rearZMm)}, without slots.`,
    numbers: [{ label: 'sheets met', value: meetings(results).length, unit: '' }],
    where: placeOf(first.comb, results),
    target: noneLeft('sheets met', (tried) => meetings(tried).length),
    remedies: [otherPlace(results), allAlike(results)],
  };
};

/** Sheets that are to stand in combs and have parts that cannot. */
const notInCombs = ({ scene, assembly }: LayersResults) =>
  scene.sheets.flatMap((standing) =>
    assembly.scene.sheets[standing.index]!.held === 'combs'
      ? standing.carried.filter(({ slots }) => slots.length === 0).map(({ part }) => ({ standing, part }))
      : [],
  );

/** What was meant for the combs, and stands on spacers. */
const combsMissed: Rule<LayersResults> = ({ results }) => {
  const found = notInCombs(results);
  const [first] = found;
  if (first === undefined) return null;
  const { highMm } = results.assembly.scene.combs!;
  const { standing, part } = first;
  return {
    id: 'combs-missed',
    severity: 'note',
    step: 'artwork',
    what: `${found.length === 1 ? 'A part' : `${found.length} parts`} of ${standing.sheet.name} ${found.length === 1 ? 'stands' : 'stand'} on spacers, not in the combs`,
    why: 'A part goes into combs where it is solid over both, from the floor to past the slot, and low enough to be lowered onto them.',
    numbers: [{ label: 'parts', value: found.length, unit: '' }],
    where: placeAt(outlineCentroid(part) ?? middleOf(part)),
    target: noneLeft('parts not in the combs', (tried) => notInCombs(tried).length),
    remedies: [
      otherPlace(results),
      {
        id: 'lower-combs',
        candidates: [0.8, 0.6, 0.45]
          .map((share) => Math.round(share * highMm))
          .filter((high) => high >= 8)
          .map((high): Candidate => ({
            label: `Combs ${high} mm high`,
            change: [set(fieldsIn(results).scene.combs.highMm, high)],
          })),
      },
      {
        id: 'on-spacers',
        candidates: [
          {
            label: `${standing.sheet.name} on spacers`,
            change: withSheet(results, standing.index, { held: 'spacers' }),
          },
        ],
      },
    ],
  };
};

/** Teeth narrower than this share of the comb’s thickness break off (typical). */
const leastTooth = 1;

const thinTooth = (results: LayersResults): number => {
  const { combs } = results.scene;
  if (combs === null) return 0;
  const least = combs.stock.thicknessMm * leastTooth;
  const tooth = toothOf(combs, results.scene.sheets);
  return tooth !== null && tooth.wideMm < least - 1e-9 ? least - tooth.wideMm : 0;
};

/** A tooth between two slots that breaks off. */
const toothThin: Rule<LayersResults> = ({ results }) => {
  const { combs, sheets } = results.scene;
  if (combs === null || thinTooth(results) === 0) return null;
  const { wideMm, before, behind } = toothOf(combs, sheets)!;
  const by = Math.ceil(combs.stock.thicknessMm - wideMm + 0.5);
  const [front, rear] = [sheets[before]!, sheets[behind]!];
  return {
    id: 'comb-tooth-thin',
    severity: 'fix',
    step: 'artwork',
    what: `A tooth of the combs is ${mm(wideMm)} wide`,
    why: `Between ${rear.sheet.name} and ${front.sheet.name} it is narrower than the comb is thick (${mm(combs.stock.thicknessMm)}): it breaks when a sheet is pressed in (typical).`,
    numbers: [{ label: 'tooth', value: Math.round(10 * wideMm) / 10, unit: 'mm' }],
    where: placeOf(combs.each[0]!, results),
    target: {
      label: 'too narrow by',
      unit: 'mm',
      better: 'lower',
      read: thinTooth,
      settled: (tried) => thinTooth(tried) === 0,
    },
    remedies: [
      {
        id: 'sheets-apart',
        candidates: [
          {
            label: `${front.sheet.name} and all before it ${by} mm higher, the case as much deeper`,
            change: [
              set(
                fieldsIn(results).scene.sheets,
                results.assembly.scene.sheets.map((sheet) =>
                  sheet.heightMm >= front.sheet.heightMm ? { ...sheet, heightMm: sheet.heightMm + by } : sheet,
                ),
              ),
              set(fieldsIn(results).case.depthInsideMm, Math.ceil(results.geometry.inside.depthMm + by)),
            ],
          },
        ],
      },
      {
        id: 'on-spacers',
        candidates: [front, rear].map(({ sheet, index }): Candidate => ({
          label: `${sheet.name} on spacers`,
          change: withSheet(results, index, { held: 'spacers' }),
        })),
      },
    ],
  };
};

/** Combs that show past the sheets. */
const combSeen: Rule<LayersResults> = ({ results }) => {
  const { combs, viewDeg } = results.scene;
  if (combs === null || combs.seenAt === null) return null;
  const { combs: design } = results.assembly.scene;
  return {
    id: 'comb-seen',
    severity: 'note',
    step: 'artwork',
    what: 'A comb is seen past the sheets',
    why: `From the front or from ${Math.round(viewDeg)}° aside its upper edge shows, ${mm(combs.highMm)} over the floor: make the combs lower than what stands before them, or paint them like what is behind.`,
    numbers: [{ label: 'high', value: combs.highMm, unit: 'mm' }],
    where: placeAt(combs.seenAt, 8),
    target: {
      label: 'combs seen',
      unit: '',
      better: 'lower',
      read: ({ scene }) => (scene.combs?.seenAt ? 1 : 0),
      settled: ({ scene }) => !scene.combs?.seenAt,
    },
    remedies: [
      {
        id: 'lower-combs',
        candidates: [0.85, 0.7, 0.55, 0.4, 0.25]
          .map((share) => Math.round(share * design!.highMm))
          .filter((high) => high >= 8)
          .map((high): Candidate => ({
            label: `Combs ${high} mm high`,
            change: [set(fieldsIn(results).scene.combs.highMm, high)],
          })),
      },
      otherPlace(results),
    ],
  };
};

/** The checks of combs that sheets are slotted into. */
export const combRules: readonly Rule<LayersResults>[] = [
  combMeetsSheet,
  misfit('tight'),
  misfit('loose'),
  toothThin,
  combsMissed,
  combSeen,
];
