import type { HaloAssembly } from './schema.js';
import type { HaloLaid, HaloResults } from './results.js';
import type { Post } from '../../light/wall/index.js';
import { success } from '../../base/result.js';
import { letterKgPerM2 } from './posts.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import type { FontBook } from '../../artwork/lettering/index.js';
import type { HaloMemos } from './memos.js';
import type { Stages } from '../common/build.js';
import { layLettering } from '../letters/lay-lettering.js';

const noPosts: readonly Post[] = [];
type Halo = Stages<HaloAssembly, HaloLaid, HaloResults>;

/** Lays halo letters: everything that stands before the circuit. */
export const layHalo =
  (stages: HaloMemos, catalogue: Catalogue, fonts: FontBook): Halo['lay'] =>
  (brief, power, assembly) => {
    const { artwork, light } = assembly;
    const found = stages.materials.run(assembly, catalogue);
    if (!found.ok) return found;
    const materials = found.value;
    const set = layLettering(stages, brief, artwork, materials.tool, fonts);
    if (!set.ok) return set;
    const { lettering, letters, workability } = set.value;
    const outline = stages.shape.run(lettering.outline);
    const sized = stages.geometry.run(assembly, materials, lettering.bounds);
    if (!sized.ok) return sized;
    const geometry = sized.value;
    const kgPerM2 = letterKgPerM2(geometry, materials);
    const paths = stages.paths.run(outline, light, materials.strip);
    const bed = stages.bed.run(geometry.ledZMm);
    // Strip along the outline comes first and posts keep off it, but for those put by hand; laid otherwise it makes way.
    const free = stages.runs.run(outline, paths, bed, light, materials.strip, noPosts, geometry.ledZMm);
    if (!free.ok) return free;
    const band = light.layout === 'outline' ? stages.band.run(light, materials.strip, free.value.segments) : null;
    const posts = stages.posted.run(outline, kgPerM2, assembly.posts, band);
    const inTheWay = band === null ? stages.posts.run(posts) : stages.pinned.run(assembly.posts);
    const strung =
      inTheWay.length === 0
        ? free
        : stages.runsAround.run(outline, paths, bed, light, materials.strip, inTheWay, geometry.ledZMm);
    if (!strung.ok) return strung;
    const runs = strung.value;
    const section = stages.section.run(outline, geometry, assembly, materials, runs, posts);
    const entry = stages.entry.run(brief.leadExit, outline);
    const router = stages.router.run(letters, runs, materials.strip.widthMm, power.crossings ?? 'over');
    const distribution = stages.photometry.run(materials.strip, light.photometry);
    if (!distribution.ok) return distribution;
    return success({
      materials,
      lettering,
      workability,
      geometry,
      runs,
      posts,
      section,
      distribution: distribution.value,
      entry,
      router,
    });
  };
