import { fitsSheet } from '../../../document/catalogue/index.js';
import { set } from '../../../document/design/index.js';
import { fieldsIn } from '../../../judging/results/index.js';
import {
  oneChange,
  partOverSheet,
  suitableStrips,
  changeStrip,
  wholeFront,
  type Rule,
} from '../../../judging/findings/index.js';
import { frameHanging, usualFrame } from '../holders.js';
import { heldSheet, type PanelResults } from '../results.js';
import { isSheetSide } from '../sheet-light.js';
import { atTheEdge, mm } from './common.js';

/** Edges with strip that no holder covers. */
const uncovered = ({ assembly: { light, holder } }: PanelResults): number =>
  holder.kind === 'base' ? light.edges.filter((side) => side !== 'bottom').length : 0;

/** A base holds the lower edge alone: strip at another lies open, and shines into the eye. */
export const edgeUncovered: Rule<PanelResults> = ({ results }) => {
  const open = uncovered(results);
  if (open === 0) return null;
  const sides = results.assembly.light.edges.filter((side) => side !== 'bottom');
  const fields = fieldsIn(results);
  return {
    id: 'edge-uncovered',
    severity: 'stop',
    step: 'case',
    what: `Nothing holds the strip at the ${sides.join(' and ')}`,
    why: 'A base holds the lower edge. At any other the strip lies open: it is seen, it dazzles, and its wires hang beside the sheet.',
    numbers: [{ label: 'open edges', value: open, unit: '' }],
    where: wholeFront(results),
    target: {
      label: 'open edges',
      better: 'lower',
      unit: '',
      read: uncovered,
      settled: (tried) => uncovered(tried) === 0,
    },
    remedies: [
      oneChange('lower-edge', 'Strip at the lower edge alone', fields.light.edges, ['bottom'] as const),
      {
        id: 'frame-it',
        candidates: [
          {
            label: 'A frame all round',
            change: [
              set(fields.holder, usualFrame(heldSheet(results))),
              set(fields.hanging, frameHanging(results.design.brief.place)),
            ],
          },
        ],
      },
    ],
  };
};

/** Play of each side by how the sheet is held (mm); typical. */
const plays = { slide: [0.1, 0.5], press: [0, 0.08], glued: [0.05, 0.4] } as const;
const usualPlay = { slide: 0.2, press: 0.05, glued: 0.15 } as const;

const playOff = ({ assembly: { holder } }: PanelResults): number => {
  const [least, most] = plays[holder.fit ?? 'slide'];
  return Math.max(0, least - holder.playMm, holder.playMm - most);
};

/** A slot that is too tight for its sheet, or lets it rattle. */
export const slotFit: Rule<PanelResults> = ({ results }) => {
  const off = playOff(results);
  if (off <= 1e-6) return null;
  const { holder } = results.assembly;
  const fit = holder.fit ?? 'slide';
  const [least, most] = plays[fit];
  const tight = holder.playMm < least;
  return {
    id: 'slot-fit',
    severity: 'fix',
    step: 'case',
    what: tight ? 'The slot is too tight for the sheet' : 'The sheet rattles in its slot',
    why: `Sheet ${mm(results.materials.pane.thicknessMm)}, slot ${mm(results.materials.pane.thicknessMm + 2 * holder.playMm)}; ${fit === 'slide' ? 'to slide' : fit === 'press' ? 'to be pressed in' : 'to be glued'} it wants ${least}–${most} mm a side (typical). Measure the sheet: cast acrylic is up to a tenth thicker or thinner than its name.`,
    numbers: [{ label: 'play a side', value: holder.playMm, unit: 'mm' }],
    where: atTheEdge(results),
    target: {
      label: 'out of range by',
      better: 'lower',
      unit: 'mm',
      read: (tried) => Math.round(100 * playOff(tried)) / 100,
      settled: (tried) => playOff(tried) <= 1e-6,
    },
    remedies: [oneChange('usual-play', `${usualPlay[fit]} mm a side`, fieldsIn(results).holder.playMm, usualPlay[fit])],
  };
};

/** Of an edge more than this stays without strip; its corners stay dark. */
const bareShare = 0.22;

const bareOf = ({ runs, geometry: { straight } }: PanelResults): number =>
  Math.max(
    0,
    ...runs.segments.map(({ on, lengthMm }) => {
      if (!isSheetSide(on)) return 0;
      const { fromMm, toMm } = straight[on]!;
      return 1 - lengthMm / (toMm - fromMm);
    }),
  );

/** Cut marks that leave a good part of an edge without strip. */
export const edgeBare: Rule<PanelResults> = ({ results, catalogue }) => {
  const bare = bareOf(results);
  if (bare <= bareShare || results.runs.segments.length === 0) return null;
  const { strip } = results.materials;
  return {
    id: 'edge-bare',
    severity: 'note',
    step: 'light',
    what: 'Strip ends well before the corners',
    why: `It is cut every ${mm(strip.cutPitchMm)}, so that ${Math.round(100 * bare)} % of an edge has none; artwork in the corners beside it is dimmer.`,
    numbers: [{ label: 'of the edge without strip', value: Math.round(100 * bare), unit: '%' }],
    where: wholeFront(results),
    target: {
      label: 'of the edge without strip',
      better: 'lower',
      unit: '%',
      read: (tried) => Math.round(100 * bareOf(tried)),
      settled: (tried) => bareOf(tried) <= bareShare,
    },
    remedies: [
      changeStrip(
        results,
        suitableStrips(results, catalogue).filter(
          ({ cutPitchMm, voltageV }) => cutPitchMm < strip.cutPitchMm && voltageV === strip.voltageV,
        ),
      ),
      {
        id: 'other-width',
        candidates: results.assembly.light.edges.some((side) => side === 'top' || side === 'bottom')
          ? [1, 0].map((more) => {
              const { widthMm } = results.assembly.sheet;
              const { endMarginMm } = results.assembly.light;
              const fits = Math.floor((widthMm - 2 * endMarginMm) / strip.cutPitchMm) + more;
              const width = Math.ceil(fits * strip.cutPitchMm + 2 * endMarginMm);
              return { label: `A sheet ${width} mm wide`, change: [set(fieldsIn(results).sheet.widthMm, width)] };
            })
          : [],
      },
    ],
  };
};

/** Joints that hold without a screw that comes out again. */
const shutFor = ({ assembly: { holder } }: PanelResults): boolean =>
  holder.kind === 'frame' && holder.joint !== 'pocket-screws' && holder.joint !== 'butt' && holder.joint !== 'rabbet';

/** Strip in a glued frame cannot be reached when it fails. */
export const stripShutIn: Rule<PanelResults> = ({ results }) => {
  if (!shutFor(results)) return null;
  const { holder } = results.assembly;
  if (holder.kind !== 'frame') return null;
  const field = fieldsIn(results).holder;
  return {
    id: 'strip-shut-in',
    severity: 'fix',
    step: 'case',
    what: 'Strip in a glued frame is not reached again',
    why: 'Strip fails before wood does. One member that is screwed, not glued, lets the sheet out, and with it the strip.',
    numbers: [{ label: 'members that come off', value: 0, unit: '' }],
    where: wholeFront(results),
    target: {
      label: 'members that come off',
      better: 'higher',
      unit: '',
      read: (tried) => (shutFor(tried) ? 0 : 4),
      settled: (tried) => !shutFor(tried),
    },
    remedies: [
      {
        id: 'screwed-corners',
        candidates: (['pocket-screws', 'butt', 'rabbet'] as const).map((joint) => ({
          label:
            joint === 'pocket-screws'
              ? 'Corners with pocket screws'
              : `Corners ${joint === 'butt' ? 'butted' : 'rabbeted'} and screwed`,
          change: [set(field, { ...holder, joint })],
        })),
      },
    ],
  };
};

/** A sheet larger than those that are sold. */
export const sheetOverStock: Rule<PanelResults> = ({ results, catalogue }) => {
  const found = partOverSheet({ results, catalogue });
  const { pane } = results.materials;
  if (found === null || results.packing.sheets.find(({ tooLarge }) => tooLarge.length > 0)?.materialId !== pane.id)
    return found;
  const { width, height } = results.geometry.sheet;
  const larger = catalogue.panes
    .filter(
      (each) =>
        (each.silver === undefined) === (pane.silver === undefined) &&
        fitsSheet(each, { widthMm: width, heightMm: height }),
    )
    .sort((a, b) => Math.abs(a.thicknessMm - pane.thicknessMm) - Math.abs(b.thicknessMm - pane.thicknessMm));
  return {
    ...found,
    what: 'The sheet is larger than it is sold',
    where: { view: 'front', rect: results.geometry.sheet },
    remedies: [
      {
        id: 'larger-stock',
        candidates: larger.map((each) => ({
          label: each.name,
          change: [set(fieldsIn(results).sheet.paneId, each.id)],
        })),
      },
    ],
  };
};
