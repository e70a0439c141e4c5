import { success } from '../../base/result.js';
import type { BuildWork } from '../common/build.js';
import { recomputedOf } from '../common/common-stages.js';
import { boxStagesOf } from '../boxes/stages.js';
import type { LayersMaterials } from './materials.js';
import { layersMemos, noLetters } from './memos.js';
import type { LayersLaid, LayersResults } from './results.js';
import type { LayersAssembly } from './schema.js';

// Materials of the case stage are those that the memos of a scene find.
const own = ({ materials }: { readonly materials: unknown }): LayersMaterials => materials as LayersMaterials;

/** The stages of a layered scene: those of a case with a clear front, sheets on spacers in it, and light between them. */
export const layersStages: BuildWork<LayersAssembly, LayersLaid, LayersResults>['stages'] = (
  catalogue,
  fonts,
  limits,
) => {
  const stages = layersMemos(catalogue, limits);
  const box = boxStagesOf(stages, catalogue, fonts, (assembly, { geometry, materials, lettering }) => {
    // The stages of a scene are asked about scenes alone.
    const { scene, light } = assembly as LayersAssembly;
    return scene.stripBehind
      ? stages.behind.run(scene, light, geometry, own({ materials }), lettering)
      : stages.runs.run(geometry, light, materials);
  });
  return {
    lay: (brief, power, assembly) => {
      const laid = box.lay(brief, power, assembly);
      if (!laid.ok) return laid;
      const { geometry, lettering: letters, section } = laid.value;
      const materials = own(laid.value);
      const stood = stages.scene.run(assembly.scene, geometry, laid.value.runs, materials, letters);
      if (!stood.ok) return stood;
      const scene = stood.value;
      const runs = stages.raised.run(laid.value.runs, scene, assembly.scene, materials.strip);
      const bands = stages.bands.run(assembly.scene, runs, materials.strip);
      const lettering = stages.asLettering.run(scene, letters);
      return success({
        ...laid.value,
        materials,
        runs,
        bands,
        geometry: stages.overAll.run(geometry, materials.trim),
        scene,
        caseSection: section,
        lettering,
        workability: stages.sheetsWorkable.run(scene, materials.tool),
        section: stages.sliced.run(section, scene, geometry, materials.trim, bands, materials.strip, 0),
      });
    },
    light: (brief, power, assembly, laid, { circuit, share, ownPower }) => {
      const { geometry, materials, distribution, runs, scene } = laid;
      return {
        lit: () => {
          const planes = stages.planes.run(scene, assembly.scene, geometry, materials, limits);
          const glow = stages.sceneGlow.run(
            brief,
            assembly.scene,
            scene,
            planes,
            geometry,
            materials,
            distribution,
            runs,
            share,
          );
          const shedding = stages.shedding.run(
            geometry,
            assembly.case.vents,
            glow,
            stages.bedBehind.run(
              stages.bed.run(geometry, assembly.light, materials, runs, brief.place),
              assembly.scene,
              runs,
              scene,
            ),
          );
          return { glow, heat: stages.heat.run(brief, power, materials.strip, circuit, ownPower, shedding) };
        },
      };
    },
    parts: (results) => {
      const { cut, bought } = box.parts({ ...results, lettering: noLetters });
      return stages.ownParts.run(cut, bought, results.scene, results.materials, results.geometry);
    },
    steps: (results) =>
      stages.ownSteps.run(
        box.steps({ ...results, lettering: noLetters, cut: stages.ofCase.run(results.cut) }),
        results.scene,
        results.geometry,
        results.materials,
        results.finishing,
        results.assembly.scene,
      ),
    recomputed: () => recomputedOf({ ...stages, glow: stages.sceneGlow }),
  };
};
