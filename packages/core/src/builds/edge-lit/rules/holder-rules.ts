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
import { leastTipDeg } from '../../../making/hanging/index.js';
import { stripRoomMm, type BaseGeometry } from '../base-geometry.js';
import { frameHanging, usualFrame } from '../holders.js';
import { heldSheet, type PanelResults } from '../results.js';
import { atTheEdge, mm, one } from './common.js';

const baseOf = ({ geometry: { holder } }: PanelResults): BaseGeometry | null =>
  holder.kind === 'base' ? holder : null;

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

/** What is left round the hole for lead or jack, less than it wants (mm). */
const exitShort = (results: PanelResults): number => {
  const base = baseOf(results);
  if (base === null || results.design.brief.leadExit === 'bottom') return 0;
  const { exit, heightMm, wallMm } = base;
  return Math.max(0, wallMm - Math.min(exit.upMm - exit.diameterMm / 2, heightMm - exit.upMm - exit.diameterMm / 2));
};

/** The hole for lead or jack too near an edge of the base. */
export const exitNearEdge: Rule<PanelResults> = ({ results, catalogue }) => {
  const short = exitShort(results);
  const base = baseOf(results);
  if (short <= 0.01 || base === null) return null;
  const fields = fieldsIn(results);
  const { holder } = results.assembly;
  return {
    id: 'exit-near-edge',
    severity: 'fix',
    step: 'case',
    what: 'The hole for the lead leaves too little wall',
    why: `${mm(base.exit.diameterMm)} at ${mm(base.exit.upMm)} above the underside leaves ${mm(base.wallMm - short)}; ${mm(base.wallMm)} is the least in ${holder.kind === 'base' && holder.make === 'printed' ? 'print' : 'wood'} (typical).`,
    numbers: [{ label: 'too little by', value: one(short), unit: 'mm' }],
    where: atTheEdge(results),
    target: {
      label: 'too little by',
      better: 'lower',
      unit: 'mm',
      read: (tried) => one(exitShort(tried)),
      settled: (tried) => exitShort(tried) <= 0.01,
    },
    remedies: [
      {
        id: 'thicker-block',
        candidates: catalogue.boards
          .filter((board) => board.uses.includes('base') && board.thicknessMm > base.heightMm)
          .sort((a, b) => a.thicknessMm - b.thicknessMm)
          .map((board) => ({ label: board.name, change: [set(fields.holder.boardId, board.id)] })),
      },
      ...(holder.kind === 'base' && holder.make === 'printed'
        ? [
            {
              id: 'higher-base',
              candidates: [4, 8, 12].map((more) => ({
                label: `A base ${mm(base.heightMm + more)} high`,
                change: [set(fields.holder, { ...holder, heightMm: base.heightMm + more })],
              })),
            },
          ]
        : []),
      ...(holder.kind === 'base'
        ? [
            {
              id: 'shallower-slot',
              candidates: [2, 4, 6]
                .map((less) => holder.slotMm - less)
                .filter((slotMm) => slotMm >= 6)
                .map((slotMm) => ({
                  label: `A slot ${mm(slotMm)} deep`,
                  change: [set(fields.holder, { ...holder, slotMm })],
                })),
            },
          ]
        : []),
    ],
  };
};

/** A lead with its jacket wants so much room in its hole, and in the cavity (mm). */
const leadPlayMm = 0.4;

const leadOver = (results: PanelResults): number => {
  const base = baseOf(results);
  const { diameterMm } = results.circuit.lead;
  return base === null
    ? 0
    : Math.max(0, diameterMm + leadPlayMm - base.exit.diameterMm, diameterMm - base.cavity.highMm);
};

/** The lead is thicker than its hole or the cavity. */
export const leadTooThick: Rule<PanelResults> = ({ results, catalogue }) => {
  const over = leadOver(results);
  if (over <= 0) return null;
  const thinner = catalogue.wires.filter(({ diameterMm }) => diameterMm < results.circuit.lead.diameterMm);
  return {
    id: 'lead-too-thick',
    severity: 'fix',
    step: 'power',
    what: 'The lead is thicker than its way out',
    why: `${results.circuit.lead.name} is ${mm(results.circuit.lead.diameterMm)} thick; the hole is ${mm(baseOf(results)!.exit.diameterMm)}, the cavity ${mm(baseOf(results)!.cavity.highMm)} high.`,
    numbers: [{ label: 'too thick by', value: one(over), unit: 'mm' }],
    where: atTheEdge(results),
    target: {
      label: 'too thick by',
      better: 'lower',
      unit: 'mm',
      read: (tried) => one(leadOver(tried)),
      settled: (tried) => leadOver(tried) <= 0,
    },
    remedies: [
      {
        id: 'thinner-lead',
        candidates: thinner.map((wire) => ({
          label: wire.name,
          change: [{ path: 'power.wireId', value: wire.id }],
        })),
      },
    ],
  };
};

const stripOver = (results: PanelResults): number => {
  const base = baseOf(results);
  const longest = Math.max(
    0,
    ...results.runs.segments.filter(({ on }) => on === 'bottom').map(({ lengthMm }) => lengthMm),
  );
  return base === null ? 0 : Math.max(0, longest - stripRoomMm(base));
};

/** Strip longer than the cavity that it lies in, its wires counted. */
export const stripOverCavity: Rule<PanelResults> = ({ results }) => {
  const over = stripOver(results);
  const base = baseOf(results);
  if (over <= 0.01 || base === null) return null;
  const { light } = results.assembly;
  const { cutPitchMm } = results.materials.strip;
  return {
    id: 'strip-over-cavity',
    severity: 'fix',
    step: 'light',
    what: 'The strip leaves no room for its wires',
    why: `The cavity is ${mm(base.cavity.lengthMm)} long, since the sheet rests beside it; with room to solder at both ends ${mm(stripRoomMm(base))} are left for strip.`,
    numbers: [{ label: 'too long by', value: one(over), unit: 'mm' }],
    where: atTheEdge(results),
    target: {
      label: 'too long by',
      better: 'lower',
      unit: 'mm',
      read: (tried) => one(stripOver(tried)),
      settled: (tried) => stripOver(tried) <= 0.01,
    },
    remedies: [
      {
        id: 'shorter-strip',
        candidates: [Math.ceil(over / 2), Math.ceil(cutPitchMm / 2)].map((more) => ({
          label: `${mm(light.endMarginMm + more)} from the corners`,
          change: [set(fieldsIn(results).light.endMarginMm, light.endMarginMm + more)],
        })),
      },
    ],
  };
};

/** Of an edge more than this stays without strip; its corners stay dark. */
const bareShare = 0.22;

const bareOf = ({ runs, geometry: { sheet } }: PanelResults): number =>
  Math.max(
    0,
    ...runs.segments.map(
      ({ on, lengthMm }) => 1 - lengthMm / (on === 'left' || on === 'right' ? sheet.height : sheet.width),
    ),
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

/** How far a base may be tipped before it falls: atan(half its depth / height of the centre of gravity), off-centre counted (degrees). */
const tipOf = ({ hang, geometry }: PanelResults): number => {
  const base = geometry.holder.kind === 'base' ? geometry.holder : null;
  const [body] = hang?.bodies ?? [];
  if (base === null || body === undefined) return 90;
  const off = Math.abs(body.centre[2] - base.depthMm / 2);
  const high = body.centre[1] - body.bounds.y;
  return (Math.atan2(Math.max(0, base.depthMm / 2 - off), Math.max(1, high)) * 180) / Math.PI;
};

/** A base too narrow for its sheet falls when it is touched. */
export const baseTips: Rule<PanelResults> = ({ results }) => {
  const tip = tipOf(results);
  const { holder } = results.assembly;
  if (tip >= leastTipDeg || holder.kind !== 'base') return null;
  const fields = fieldsIn(results);
  return {
    id: 'base-tips',
    severity: 'fix',
    step: 'case',
    what: 'It falls over when it is touched',
    why: `It may be tipped by ${tip.toFixed(1)}° before it falls; ${leastTipDeg}° is the usual least (typical).`,
    numbers: [{ label: 'may be tipped', value: one(tip), unit: '°' }],
    where: wholeFront(results),
    target: {
      label: 'may be tipped',
      better: 'higher',
      unit: '°',
      read: (tried) => one(tipOf(tried)),
      settled: (tried) => tipOf(tried) >= leastTipDeg,
    },
    remedies: [
      {
        id: 'deeper-base',
        candidates: [1.2, 1.5, 2, 3]
          .map((times) => Math.ceil(holder.depthMm * times))
          .filter((depth) => depth <= 400)
          .map((depth) => ({
            label: `A base ${depth} mm deep`,
            change: [set(fields.holder, { ...holder, depthMm: depth })],
          })),
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
        Math.max(each.sheetWidthMm, each.sheetHeightMm) >= Math.max(width, height) &&
        Math.min(each.sheetWidthMm, each.sheetHeightMm) >= Math.min(width, height),
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
