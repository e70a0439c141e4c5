import type { FaceLitAssembly } from './schema.js';
import type { FaceLitLaid, FaceLitResults } from './results.js';
import { success } from '../../base/result.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import type { FontBook } from '../../artwork/lettering/index.js';
import { type FaceLitMemos, shapesOf } from './memos.js';
import type { Stages } from '../common/build.js';
import { layLettering } from '../letters/lay-lettering.js';

const noPosts = [] as const;

type FaceLit = Stages<FaceLitAssembly, FaceLitLaid, FaceLitResults>;

/** Lays face-lit letters: everything that stands before the circuit. */
export const layFaceLit =
  (stages: FaceLitMemos, catalogue: Catalogue, fonts: FontBook): FaceLit['lay'] =>
  (brief, power, assembly) => {
    const { artwork, light, cans } = assembly;
    const found = stages.materials.run(assembly, catalogue);
    if (!found.ok) return found;
    const materials = found.value;
    const set = layLettering(stages, brief, artwork, materials.tool, fonts);
    if (!set.ok) return set;
    const { lettering, letters, workability } = set.value;
    const { outline, inside } = shapesOf(stages, lettering, cans.wallMm);
    const sized = stages.geometry.run(cans, materials, lettering.bounds);
    if (!sized.ok) return sized;
    const geometry = sized.value;
    const returns = stages.returns.run(lettering.outline, geometry.wallMm);
    const bed = stages.bed.run(geometry.ledZMm);
    const throwMm = geometry.depthInsideMm - geometry.ledZMm;
    const paths = stages.paths.run(inside, light, materials.strip);
    const strung = stages.runs.run(inside, paths, bed, light, materials.strip, noPosts, throwMm);
    if (!strung.ok) return strung;
    const runs = strung.value;
    const section = stages.section.run(outline, geometry, assembly, materials, runs);
    const entry = stages.entry.run(brief.leadExit, outline);
    const router = stages.router.run(letters, runs, materials.strip.widthMm, power.crossings ?? 'holes');
    const distribution = stages.photometry.run(materials.strip, light.photometry);
    if (!distribution.ok) return distribution;
    const stack = stages.optics.run(materials);
    return success({
      materials,
      lettering,
      workability,
      geometry,
      returns,
      runs,
      section,
      distribution: distribution.value,
      stack,
      entry,
      router,
    });
  };
