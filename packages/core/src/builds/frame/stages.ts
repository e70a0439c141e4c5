import { success } from '../../base/result.js';
import type { BuildWork } from '../common/build.js';
import { boxStagesOf } from '../boxes/stages.js';
import { frameMemos } from './memos.js';
import type { FrameLaid, FrameMaterials, FrameResults } from './results.js';
import type { FrameAssembly } from './schema.js';

// Materials of the case stage are those that the memos of a frame find.
const own = ({ materials }: { readonly materials: unknown }): FrameMaterials => materials as FrameMaterials;

/** The stages of a display frame: those of a case, the band in the place of letters, light through a print. */
export const frameStages: BuildWork<FrameAssembly, FrameLaid, FrameResults>['stages'] = (catalogue, fonts, limits) => {
  const stages = frameMemos(catalogue, limits);
  const box = boxStagesOf(stages, catalogue, fonts);
  return {
    lay: (brief, power, assembly) => {
      const laid = box.lay(brief, power, assembly);
      if (!laid.ok) return laid;
      const { shows } = assembly;
      const { materials, geometry } = laid.value;
      const found = { ...laid.value, materials: own({ materials }) };
      if (shows.kind === 'print' && shows.picture) {
        const read = stages.picture.run(shows.picture);
        if (!read.ok) return read;
      }
      if (shows.kind === 'print') return success(found);
      if (shows.kind === 'mirror-tile')
        return success({ ...found, workability: stages.onGlass.run(found.workability) });
      const band = stages.band.run(shows, geometry);
      if (!band.ok) return band;
      const lettering = stages.asLettering.run(band.value);
      const workability = stages.onGlass.run(stages.workability.run(lettering.outline, materials.tool));
      return success({ ...found, lettering, workability });
    },
    light: (brief, power, assembly, laid, wired) => {
      const lit = box.light(brief, power, assembly, laid, wired);
      const { kind, picture } = assembly.shows;
      if (kind !== 'print' || !picture) return lit;
      const read = stages.picture.run(picture);
      return read.ok
        ? { ...lit, glow: stages.through.run(lit.glow as FrameResults['glow'], read.value, laid.geometry.face) }
        : lit;
    },
    parts: (results) => {
      const { cut, bought } = box.parts(results);
      const { shows } = results.assembly;
      return { cut: stages.ownParts.run(cut, shows, results.materials, results.lettering), bought };
    },
    steps: (results) =>
      stages.ownSteps.run(
        box.steps(results),
        results.assembly.shows,
        results.geometry,
        results.materials,
        results.lettering,
      ),
    recomputed: box.recomputed,
  };
};
