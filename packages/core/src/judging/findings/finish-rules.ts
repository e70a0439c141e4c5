import { capital } from '../../base/words/index.js';
import { set, type DesignChange, type FinishingDesign } from '../../document/design/index.js';
import {
  finishSystems,
  gluesFor,
  waitWords,
  type FinishedSurface,
  type Finishing,
} from '../../making/finishing/index.js';
import { fieldsIn, type AssemblyResults } from '../results/index.js';
import { wholeFront } from './places.js';
import type { Remedy, Rule } from './types.js';

const change = (results: AssemblyResults, own: Partial<FinishingDesign>): DesignChange => [
  set(fieldsIn(results).finishing, { ...results.assembly.finishing, ...own }),
];

/** The coats of a surface as another build-up. */
const coatedAs = (results: AssemblyResults, surface: string, layers: (typeof finishSystems)[number]['layers']) =>
  change(results, {
    coats: [
      ...(results.assembly.finishing?.coats ?? []).filter((each) => each.surface !== surface),
      { surface, layers },
    ],
  });

/** Build-ups that hold on a surface, as remedies. */
const systemsFor = (results: AssemblyResults, { id, stuff }: FinishedSurface): Remedy => ({
  id: 'finish-it',
  candidates: finishSystems
    .filter(({ layers }) => layers.length > 0)
    .map(({ name, layers }) => ({ label: `${capital(name)}`, change: coatedAs(results, id, layers) }))
    .sort((a, b) => Number(b.label.includes(stuff)) - Number(a.label.includes(stuff))),
});

const rawWood = ({ finishing, design }: AssemblyResults): readonly FinishedSurface[] =>
  design.brief.exposure === 'indoors'
    ? []
    : finishing.surfaces.filter(
        ({ stuff, layers, comesFinished }) => stuff === 'wood' && !comesFinished && layers.length === 0,
      );

/** Wood that gets wet and has nothing on it. */
export const rawInTheWet: Rule = ({ results }) => {
  const [surface] = rawWood(results);
  if (surface === undefined) return null;
  return {
    id: 'raw-in-the-wet',
    severity: 'fix',
    step: 'case',
    what: `The ${surface.name} is left raw in the wet`,
    why: `${surface.m2.toFixed(2)} m² of wood with nothing on it: it swells, and joints and seats with it.`,
    numbers: [{ label: 'raw', value: surface.m2, unit: 'm²' }],
    where: wholeFront(results),
    target: {
      label: 'raw surfaces',
      better: 'lower',
      unit: '',
      read: (tried) => rawWood(tried).length,
      settled: (tried) => rawWood(tried).length === 0,
    },
    remedies: [systemsFor(results, surface)],
  };
};

const lettingGo = ({ finishing }: AssemblyResults): readonly FinishedSurface[] =>
  finishing.surfaces.filter(({ layers }) => layers.some(({ letsGo }) => letsGo));

/** Paint on what it does not hold on, and no primer between. */
export const paintLetsGo: Rule = ({ results }) => {
  const [surface] = lettingGo(results);
  if (surface === undefined) return null;
  const { paint } = surface.layers.find(({ letsGo }) => letsGo)!;
  return {
    id: 'paint-lets-go',
    severity: 'fix',
    step: 'case',
    what: `Paint does not hold on the ${surface.name}`,
    why: `${paint.name} holds on ${paint.onto.join(', ')}, not on ${surface.stuff}; ${surface.m2.toFixed(2)} m² want a primer under it that does.`,
    numbers: [{ label: 'area', value: surface.m2, unit: 'm²' }],
    where: wholeFront(results),
    target: {
      label: 'surfaces that peel',
      better: 'lower',
      unit: '',
      read: (tried) => lettingGo(tried).length,
      settled: (tried) => lettingGo(tried).length === 0,
    },
    remedies: surface.fixed === null ? [systemsFor(results, surface)] : [],
    noRemedy: 'The lining sets these coats: take another lining.',
  };
};

/** The longest that a coat wants over what it is given (min). */
const hurried = ({ finishing: { surfaces, betweenCoatsMin } }: Pick<AssemblyResults, 'finishing'>): number =>
  betweenCoatsMin === null
    ? 0
    : Math.max(0, ...surfaces.flatMap(({ layers }) => layers.map(({ paint }) => paint.recoatMin - betweenCoatsMin)));

/** A coat laid on the one before while that is wet. */
export const dryingForgotten: Rule = ({ results }) => {
  const short = hurried(results);
  if (short <= 0) return null;
  const given = results.finishing.betweenCoatsMin ?? 0;
  return {
    id: 'drying-forgotten',
    severity: 'fix',
    step: 'case',
    what: 'A coat is laid on before the one under it is dry',
    why: `${waitWords(given)} are planned between coats; the slowest wants ${waitWords(given + short)}. It wrinkles, and stays soft.`,
    numbers: [
      { label: 'planned', value: given, unit: 'min' },
      { label: 'wanted', value: given + short, unit: 'min' },
    ],
    where: wholeFront(results),
    target: {
      label: 'too short by',
      better: 'lower',
      unit: 'min',
      read: hurried,
      settled: (tried) => hurried(tried) <= 0,
    },
    remedies: [
      {
        id: 'let-it-dry',
        candidates: [
          {
            label: `${waitWords(given + short)} between coats`,
            change: change(results, { betweenCoatsMin: given + short }),
          },
        ],
      },
    ],
  };
};

const short = ({ finishing: { supplies } }: AssemblyResults) =>
  supplies.filter(({ atHand, each, needed }) => atHand !== null && atHand * each < needed - 1e-9);

/** Cans or tubes at hand do not hold what is needed. */
export const runsOutOfIt: Rule = ({ results }) => {
  const [item] = short(results);
  if (item === undefined) return null;
  const { itemId, name, needed, each, unit, atHand, count } = item;
  const shown = (value: number): number => Math.round(100 * value) / 100;
  const others = results.assembly.finishing?.atHand?.filter((own) => own.itemId !== itemId) ?? [];
  return {
    id: 'runs-out',
    severity: 'fix',
    step: 'case',
    what: `There is too little ${name.toLowerCase()} at hand`,
    why: `The order takes ${shown(needed)} ${unit} with waste; ${atHand} of ${shown(each)} ${unit} are at hand. A second can seldom has the same colour.`,
    numbers: [
      { label: 'needed', value: shown(needed), unit },
      { label: 'at hand', value: shown((atHand ?? 0) * each), unit },
    ],
    where: wholeFront(results),
    target: {
      label: 'that run out',
      better: 'lower',
      unit: '',
      read: (tried) => short(tried).length,
      settled: (tried) => short(tried).length === 0,
    },
    remedies: [
      {
        id: 'have-more',
        candidates: [
          { label: `Have ${count} of it`, change: change(results, { atHand: [...others, { itemId, count }] }) },
        ],
      },
    ],
  };
};

const loose = ({ finishing: { bonds } }: AssemblyResults) => bonds.filter(({ holds }) => !holds);

/** A glue that does not hold both sides of its joint. */
export const glueDoesNotHold: Rule = ({ results, catalogue }) => {
  const [bond] = loose(results);
  if (bond === undefined) return null;
  const { glue, between, what, fine, id, mm } = bond;
  const others = results.assembly.finishing?.glues?.filter((own) => own.bond !== id) ?? [];
  return {
    id: 'glue-does-not-hold',
    severity: 'fix',
    step: 'case',
    what: `Glue does not hold the ${what}`,
    why:
      glue === null
        ? `Nothing on the shelf holds ${between.join(' to ')}; ${Math.round(mm)} mm are to be glued.`
        : `${glue.name} holds ${glue.holds.join(', ')}, and is to hold ${between.join(' to ')} over ${Math.round(mm)} mm.`,
    numbers: [{ label: 'glued', value: Math.round(mm), unit: 'mm' }],
    where: wholeFront(results),
    target: {
      label: 'joints that come apart',
      better: 'lower',
      unit: '',
      read: (tried) => loose(tried).length,
      settled: (tried) => loose(tried).length === 0,
    },
    remedies: [
      {
        id: 'other-glue',
        candidates: gluesFor(between, fine, catalogue).map((other) => ({
          label: other.name,
          change: change(results, { glues: [...others, { bond: id, glueId: other.id }] }),
        })),
      },
    ],
  };
};

const messy = ({ finishing: { bonds } }: AssemblyResults) =>
  bonds.filter(({ fine, glue }) => fine && glue?.squeezesOut === true);

/** Glue that foams or runs out where it is seen and cannot be sanded off. */
export const squeezesOut: Rule = ({ results, catalogue }) => {
  const [bond] = messy(results);
  if (bond === undefined) return null;
  const { glue, between, what, id, mm } = bond;
  const others = results.assembly.finishing?.glues?.filter((own) => own.bond !== id) ?? [];
  return {
    id: 'squeezes-out',
    severity: 'note',
    step: 'case',
    what: `Glue squeezes out at the ${what}`,
    why: `${glue!.name} comes out along ${Math.round(mm)} mm that are seen and cannot be sanded. Begin the bead 5 mm in, or take one that stays.`,
    numbers: [{ label: 'seen', value: Math.round(mm), unit: 'mm' }],
    where: wholeFront(results),
    target: {
      label: 'joints that squeeze out',
      better: 'lower',
      unit: '',
      read: (tried) => messy(tried).length,
      settled: (tried) => messy(tried).length === 0,
    },
    remedies: [
      {
        id: 'other-glue',
        candidates: gluesFor(between, true, catalogue)
          .filter((other) => !other.squeezesOut)
          .map((other) => ({
            label: other.name,
            change: change(results, { glues: [...others, { bond: id, glueId: other.id }] }),
          })),
      },
    ],
  };
};

const shutIn = ({ shutsIn, insideFirst, surfaces }: Finishing): number =>
  shutsIn && !insideFirst ? (surfaces.find(({ id }) => id === 'inside')?.m2 ?? 0) : 0;

/** The inside is to be painted when nobody can reach it any more. */
export const insideShutIn: Rule = ({ results }) => {
  const m2 = shutIn(results.finishing);
  if (m2 <= 0) return null;
  return {
    id: 'inside-shut-in',
    severity: 'fix',
    step: 'case',
    what: 'The inside is painted after the face has shut it in',
    why: `The face goes into its groove as the case is glued; ${m2.toFixed(2)} m² inside are painted after that, through the back and over the face.`,
    numbers: [{ label: 'inside', value: m2, unit: 'm²' }],
    where: wholeFront(results),
    target: {
      label: 'painted too late',
      better: 'lower',
      unit: 'm²',
      read: (tried) => shutIn(tried.finishing),
      settled: (tried) => shutIn(tried.finishing) <= 0,
    },
    remedies: [
      {
        id: 'inside-first',
        candidates: [
          { label: 'Paint it before the case is glued', change: change(results, { insideAfterGlueUp: false }) },
        ],
      },
    ],
  };
};

/** All that may be wrong with paint and glue. */
export const finishRules: readonly Rule[] = [
  rawInTheWet,
  paintLetsGo,
  glueDoesNotHold,
  insideShutIn,
  dryingForgotten,
  runsOutOfIt,
  squeezesOut,
];
