import type { BeforeHanging } from '../../judging/results/index.js';
import { solidParts, type Outline } from '../../base/outlines/index.js';
import type { HungBody } from '../../making/hanging/index.js';
import type { Hanging } from '../common/build.js';
import { backerOf } from '../letters/backer/backer.js';
import { backerHanging, hungBacker } from '../letters/backer/hung-backer.js';
import { hungLetters } from '../letters/hung.js';
import { fromLeft } from '../letters/parts.js';
import type { FaceLitResults } from './results.js';
import type { FaceLitAssembly } from './schema.js';

/** Letters of an outline, kept as long as it is: taking them apart is more than hanging them. */
const kept = new WeakMap<Outline, readonly { readonly outline: Outline }[]>();

const lettersOf = (outline: Outline): readonly { readonly outline: Outline }[] => {
  const known = kept.get(outline) ?? fromLeft(solidParts(outline).map((each) => ({ outline: each })));
  kept.set(outline, known);
  return known;
};

/** Face-lit letters hang one by one, by screws through their backs. */
export const faceLitHung = ({
  lettering,
  cut,
  bought,
  geometry,
  assembly,
  materials,
}: BeforeHanging<FaceLitResults>): readonly HungBody[] => {
  const backer = backerOf(assembly.backer, materials.backer, lettering.outline);
  const letters = hungLetters(lettersOf(lettering.outline), cut, bought, geometry.outside.depthMm);
  return backer === null ? letters : [hungBacker(backer, letters, cut)];
};

/** Screws through the backs, before the faces are set. */
export const faceLitHanging = ({ backer }: FaceLitAssembly): Hanging =>
  backer === null || backer === undefined ? { ways: [], usual: 'holes', standsOffMm: 0 } : backerHanging;
