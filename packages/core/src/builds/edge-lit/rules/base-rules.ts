import { set } from '../../../document/design/index.js';
import { fieldsIn } from '../../../judging/results/index.js';
import { wholeFront, type Rule } from '../../../judging/findings/index.js';
import { leastTipDeg } from '../../../making/hanging/index.js';
import { jackBodyMm, stripEndRoomMm, stripRoomMm, type BaseGeometry } from '../base-geometry.js';
import type { PanelResults } from '../results.js';
import { atTheEdge, mm, one } from './common.js';

const baseOf = ({ geometry: { holder } }: PanelResults): BaseGeometry | null =>
  holder.kind === 'base' ? holder : null;

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

/** By how much the room behind a jack is too low or too short for its body (mm). */
const jackOver = (results: PanelResults): number => {
  const base = baseOf(results);
  const { leadExit } = results.design.brief;
  if (base === null || base.exit.bay === null || leadExit === 'bottom') return 0;
  const { lengthMm, depthMm, cavity, exit } = base;
  // Behind the rear the strip lies in the way; at the ends the cavity is empty for some way.
  const atAnEnd = leadExit === 'left' || leadExit === 'right';
  const deep =
    (atAnEnd ? (lengthMm - cavity.lengthMm) / 2 + stripEndRoomMm : (depthMm - cavity.widthMm) / 2) - exit.bay!.wallMm;
  return Math.max(0, jackBodyMm.thick - cavity.highMm, jackBodyMm.deep - deep);
};

/** The body of the jack finds no room behind its wall. */
export const jackWithoutRoom: Rule<PanelResults> = ({ results }) => {
  const over = jackOver(results);
  const base = baseOf(results);
  const { holder } = results.assembly;
  if (over <= 0.01 || base === null || holder.kind !== 'base') return null;
  const field = fieldsIn(results).holder;
  return {
    id: 'jack-without-room',
    severity: 'stop',
    step: 'case',
    what: 'The jack does not fit behind its wall',
    why: `Its body is ${mm(jackBodyMm.thick)} thick and ${mm(jackBodyMm.deep)} deep (typical); ${mm(base.cavity.highMm)} of height are there under the slot, and ${mm(over)} are wanting.`,
    numbers: [{ label: 'too little by', value: one(over), unit: 'mm' }],
    where: atTheEdge(results),
    target: {
      label: 'too little by',
      better: 'lower',
      unit: 'mm',
      read: (tried) => one(jackOver(tried)),
      settled: (tried) => jackOver(tried) <= 0.01,
    },
    remedies: [
      {
        id: 'room-for-jack',
        candidates: [
          {
            label: `A base ${mm(holder.depthMm + Math.ceil(2 * over))} from front to rear`,
            change: [set(field, { ...holder, depthMm: holder.depthMm + Math.ceil(2 * over) })],
          },
          {
            label: `A slot ${mm(Math.max(3, holder.slotMm - Math.ceil(over)))} deep`,
            change: [set(field, { ...holder, slotMm: Math.max(3, holder.slotMm - Math.ceil(over)) })],
          },
        ],
      },
      {
        id: 'lead-instead',
        candidates: [{ label: 'A lead that comes out', change: [set(field, { ...holder, exit: 'lead' as const })] }],
      },
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
  const base = baseOf(results);
  if (over <= 0 || base === null) return null;
  const thinner = catalogue.wires.filter(({ diameterMm }) => diameterMm < results.circuit.lead.diameterMm);
  return {
    id: 'lead-too-thick',
    severity: 'fix',
    step: 'power',
    what: 'The lead is thicker than its way out',
    why: `${results.circuit.lead.name} is ${mm(results.circuit.lead.diameterMm)} thick; the hole is ${mm(base.exit.diameterMm)}, the cavity ${mm(base.cavity.highMm)} high.`,
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
