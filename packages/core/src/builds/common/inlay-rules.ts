import { offset, outlineArea, solidParts, subtract, type Outline } from '../../base/outlines/index.js';
import { set, type DesignChange } from '../../document/design/index.js';
import type { Candidate, Rule } from '../../judging/findings/index.js';
import { fieldsIn, type AssemblyResults } from '../../judging/results/index.js';
import { cracks } from '../../making/fits/index.js';
import { fitWords, type Inlay } from './inlays.js';
import { middleOf, mm, noneLeft, placeAt } from './rule-words.js';
import type { SheetStock } from './sheet-stock.js';

/** A sheet that letters are let into, and how a design changes that. */
export interface InlaidSheet {
  readonly name: string;
  readonly stock: SheetStock;
  readonly inlay: Inlay;
  /** What stays of the sheet, part by part. */
  readonly parts: readonly Outline[];
  /** The fit as is usual between the two. */
  readonly usual: DesignChange;
  /** The same sheet from stuff that does not crack. */
  readonly inWood: readonly Candidate[];
}

type InlaidOf<Results> = (results: Results) => readonly InlaidSheet[];

/** Inlays beyond what holds without breaking, by how much (mm). */
const misfits = (sheets: readonly InlaidSheet[], way: 'tight' | 'loose') =>
  sheets.flatMap((sheet) => {
    const { overMm, fit } = sheet.inlay;
    const by = way === 'tight' ? overMm - fit.mostMm : fit.leastMm - overMm;
    return by > 1e-9 ? [{ sheet, by }] : [];
  });

const misfit =
  <Results extends AssemblyResults>(inlaid: InlaidOf<Results>, way: 'tight' | 'loose'): Rule<Results> =>
  ({ results }) => {
    const [first] = misfits(inlaid(results), way);
    if (first === undefined) return null;
    const { name, stock, inlay, usual } = first.sheet;
    const tight = way === 'tight';
    return {
      id: `inlay-${way}`,
      severity: 'fix',
      step: 'artwork',
      what: `Inlays of ${name} are too ${way}`,
      why: tight
        ? `Each is ${fitWords(inlay.overMm)}; ${stock.name.toLowerCase()} takes ${fitWords(inlay.fit.mostMm).replace(' than its pocket', '')} at the most${cracks(stock.stuff) ? ' before it cracks from its inner corners' : ' before it splits along its grain'} (typical; try it on the ladder in the pack).`
        : `Each is ${fitWords(inlay.overMm)}: below ${inlay.fit.leastMm.toFixed(2)} mm it falls out, or stands aslant in its glue (typical; try it on the ladder in the pack).`,
      numbers: [
        { label: 'over its pocket', value: Math.round(100 * inlay.overMm) / 100, unit: 'mm' },
        {
          label: tight ? 'usual most' : 'usual least',
          value: tight ? inlay.fit.mostMm : inlay.fit.leastMm,
          unit: 'mm',
        },
      ],
      where: placeAt(middleOf(inlay.pockets), 30),
      target: {
        label: `too ${way}`,
        unit: 'mm',
        better: 'lower',
        read: (tried) => Math.max(0, ...misfits(inlaid(tried), way).map(({ by }) => by)),
        settled: (tried) => misfits(inlaid(tried), way).length === 0,
      },
      remedies: [{ id: 'usual-fit', candidates: [{ label: `Inlays of ${name} with the usual fit`, change: usual }] }],
    };
  };

/** A neck of brittle sheet cracks when it is narrower than so many thicknesses (typical). */
const thicknesses = 1.5;

/** How many places of a sheet are narrower than that: what is gone when it is shrunk and grown again, its corners not counted. */
const neckOf = ({ stock, parts }: InlaidSheet): number => {
  if (!cracks(stock.stuff)) return 0;
  const [largest] = [...parts].sort((a, b) => Math.abs(outlineArea(b)) - Math.abs(outlineArea(a)));
  if (largest === undefined) return 0;
  const half = (thicknesses * stock.thicknessMm) / 2;
  const kept = offset(offset(largest, -half), half + 0.02);
  return solidParts(subtract(largest, kept)).filter((lost) => Math.abs(outlineArea(lost)) > 1.5 * half ** 2).length;
};

/** Brittle sheet with necks between pockets that crack when it is cut, pressed into, or cools. */
const necksCrack =
  <Results extends AssemblyResults>(inlaid: InlaidOf<Results>): Rule<Results> =>
  ({ results }) => {
    const first = inlaid(results).find((sheet) => neckOf(sheet) > 0);
    if (first === undefined) return null;
    const { stock, name, inlay, inWood } = first;
    const fields = fieldsIn(results);
    const cap = results.assembly.artwork.capHeightMm;
    return {
      id: 'inlay-necks',
      severity: 'fix',
      step: 'artwork',
      what: `Thin necks in ${name} may crack`,
      why: `Between its pockets ${stock.name.toLowerCase()} is narrower than ${mm(thicknesses * stock.thicknessMm)}, one and a half times its thickness: it cracks there when it is cut or warmed (typical).`,
      numbers: [{ label: 'usual least', value: Math.round(10 * thicknesses * stock.thicknessMm) / 10, unit: 'mm' }],
      where: placeAt(middleOf(inlay.pockets), 30),
      target: noneLeft('necks', (tried) => inlaid(tried).reduce((sum, sheet) => sum + neckOf(sheet), 0)),
      remedies: [
        {
          id: 'wider-letters',
          candidates: [0.1, 0.2, 0.35].map((tracking): Candidate => ({
            label: `Letters ${Math.round(100 * tracking)} % of their height farther apart`,
            change: [set(fields.artwork.tracking, (results.assembly.artwork.tracking ?? 0) + tracking)],
          })),
        },
        {
          id: 'larger-letters',
          candidates: [1.15, 1.3].map((factor): Candidate => ({
            label: `Letters ${Math.round(cap * factor)} mm high`,
            change: [set(fields.artwork.capHeightMm, Math.round(cap * factor))],
          })),
        },
        { id: 'wooden-sheet', candidates: inWood },
      ],
    };
  };

/** What is told of letters let into sheets: too tight, too loose, necks that crack. */
export const inlayRules = <Results extends AssemblyResults>(inlaid: InlaidOf<Results>): readonly Rule<Results>[] => [
  misfit(inlaid, 'tight'),
  misfit(inlaid, 'loose'),
  necksCrack(inlaid),
];
