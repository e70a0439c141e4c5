import type { Lettering } from '../../artwork/lettering/index.js';
import { success, type Result } from '../../base/result.js';
import type { BuildWork } from '../common/build.js';
import { boxStagesOf } from '../boxes/stages.js';
import { findFrameMaterials, mirrorBackReflects } from './materials.js';
import { frameMemos } from './memos.js';
import type { FrameLaid, FrameMaterials, FrameResults } from './results.js';
import { followsBand, hasInnerFrame } from './inner-frame.js';
import type { FrameAssembly } from './schema.js';

// Materials of the case stage are those that the memos of a frame find.
const own = ({ materials }: { readonly materials: unknown }): FrameMaterials => materials as FrameMaterials;

/** The stages of a display frame: those of a case, the band in the place of letters, light through a print. */
export const frameStages: BuildWork<FrameAssembly, FrameLaid, FrameResults>['stages'] = (catalogue, fonts, limits) => {
  const stages = frameMemos(catalogue, limits);
  const box = boxStagesOf(stages, catalogue, fonts);
  /** A lit mirror with the inner frame that its band asks for; every other frame as it is. */
  const framedBy = (assembly: FrameAssembly): Result<FrameAssembly> => {
    if (!followsBand(assembly)) return success(assembly);
    const found = findFrameMaterials(assembly, catalogue);
    if (!found.ok) return found;
    const { returnBoard, second } = found.value;
    const secondMm = second === null ? 0 : second.gapMm + second.sheet.thicknessMm;
    const framed = stages.innerCase.run(assembly.case, assembly.shows.band, returnBoard.thicknessMm, secondMm);
    return framed.ok ? success(stages.withCase.run(assembly, framed.value)) : framed;
  };
  return {
    lay: (brief, power, asked) => {
      const framed = framedBy(asked);
      if (!framed.ok) return framed;
      const assembly = framed.value;
      const laid = box.lay(brief, power, assembly);
      if (!laid.ok) return laid;
      const { shows } = assembly;
      const { materials, geometry } = laid.value;
      const sliced = hasInnerFrame(shows, geometry)
        ? { ...laid.value, section: stages.innerSection.run(laid.value.section) }
        : laid.value;
      const found = { ...sliced, materials: own({ materials }) };
      if (shows.kind === 'print' && shows.picture) {
        const read = stages.picture.run(shows.picture);
        if (!read.ok) return read;
      }
      if (shows.kind === 'print') return success(found);
      const { inside } = geometry;
      // Light comes out where silver is off alone; elsewhere the back of the mirror throws it back.
      const stack = (lettering: Lettering) =>
        stages.covered.run(found.stack, lettering.areaMm2 / (inside.widthMm * inside.heightMm), mirrorBackReflects);
      if (shows.kind === 'mirror-tile')
        return success({
          ...found,
          stack: stack(found.lettering),
          workability: stages.onGlass.run(found.workability),
        });
      const band = stages.band.run(shows, geometry);
      if (!band.ok) return band;
      const lettering = stages.asLettering.run(band.value);
      const workability = stages.onGlass.run(stages.workability.run(lettering.outline, materials.tool));
      return success({ ...found, stack: stack(lettering), lettering, workability });
    },
    light: (brief, power, assembly, laid, wired) => {
      const plain = box.light(brief, power, assembly, laid, wired);
      const { kind, picture } = assembly.shows;
      if (kind !== 'print' || !picture) return plain;
      const read = stages.picture.run(picture);
      if (!read.ok) return plain;
      return {
        lit: () => {
          const { glow, heat } = plain.lit();
          return { glow: stages.through.run(glow as FrameResults['glow'], read.value, laid.geometry.face), heat };
        },
      };
    },
    parts: (results) => {
      const { cut, bought } = box.parts(results);
      const { assembly, materials, lettering, geometry } = results;
      const { shows, light } = assembly;
      const framed = hasInnerFrame(shows, geometry)
        ? stages.innerParts.run(cut, geometry, materials, light.corners)
        : cut;
      return stages.ownParts.run(framed, bought, catalogue.rates.wasteShare, assembly, materials, lettering);
    },
    steps: (results) =>
      stages.ownSteps.run(
        box.steps(results),
        results.assembly,
        results.geometry,
        results.materials,
        results.lettering,
        results.finishing,
      ),
    recomputed: box.recomputed,
  };
};
