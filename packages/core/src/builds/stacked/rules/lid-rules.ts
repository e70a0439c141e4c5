import { set } from '../../../document/design/index.js';
import type { Candidate, Rule } from '../../../judging/findings/index.js';
import { fieldsIn } from '../../../judging/results/index.js';
import { solidParts } from '../../../base/outlines/index.js';
import { inlayRules, type InlaidSheet } from '../../common/inlay-rules.js';
import { middleOf, mm, placeAt } from '../../common/rule-words.js';
import { sunkMm } from '../room.js';
import type { StackedResults } from '../results.js';

/** The lid as a sheet that letters are let into. */
const inlaidLid = (results: StackedResults): readonly InlaidSheet[] => {
  const { lid, materials, assembly } = results;
  const fields = fieldsIn(results);
  if (lid.inlay === null) return [];
  return [
    {
      name: 'the lid',
      stock: materials.lid,
      inlay: lid.inlay,
      parts: solidParts(lid.solid),
      usual: [set(fields.lid.inlay, { ...assembly.lid.inlay, overMm: null })],
      inWood: ['ply-3', 'ply-4'].map((materialId): Candidate => ({
        label: `The lid from birch plywood ${materialId === 'ply-3' ? 3 : 4} mm`,
        change: [set(fields.lid.materialId, materialId)],
      })),
    },
  ];
};

/** Pockets deeper than this under a letter keep light from it (mm). */
const deepMm = 3;

/** Letters lie at the front of a thick lid, at the end of a pocket that takes their light. */
export const lettersSunk: Rule<StackedResults> = ({ results }) => {
  const { lid, materials, stack, room } = results;
  const sunk = sunkMm(materials);
  if (sunk <= deepMm || lid.pockets.length === 0) return null;
  const keeps = Math.round(100 * (1 - room.inlay.passes / Math.max(1e-6, stack.transmittance)));
  return {
    id: 'letters-sunk',
    severity: 'note',
    step: 'face',
    what: 'The lid is much thicker than its letters',
    why: `Flush with the front, letters of ${mm(materials.inlay.thicknessMm)} lie ${mm(sunk)} over the underside of a lid of ${mm(materials.lid.thicknessMm)}: strokes ${mm(lid.strokeMm ?? 0)} wide lose ${keeps} % of their light to the walls of their pockets, and show it as a shadow from aside.`,
    numbers: [
      { label: 'over the underside', value: Math.round(10 * sunk) / 10, unit: 'mm' },
      { label: 'light lost', value: keeps, unit: '%' },
    ],
    where: placeAt(middleOf(lid.pockets), 40),
    target: {
      label: 'over the underside',
      unit: 'mm',
      better: 'lower',
      read: (tried) => Math.round(10 * sunkMm(tried.materials)) / 10,
      settled: (tried) => sunkMm(tried.materials) <= deepMm,
    },
    remedies: [
      {
        id: 'thinner-lid',
        candidates: ['ply-6', 'ply-4', 'ply-3'].map((materialId): Candidate => ({
          label: `The lid from birch plywood ${materialId.slice(4)} mm`,
          change: [set(fieldsIn(results).lid.materialId, materialId)],
        })),
      },
    ],
  };
};

/** What is told of the lid and its letters. */
export const lidRules: readonly Rule<StackedResults>[] = [...inlayRules(inlaidLid), lettersSunk];
