import { describe, expect, it } from '@jest/globals';
import { shippedCatalogue } from '../document/catalogue/index.js';
import { changed, curlew, dispensary, inAssembly, tern } from '../testing/harness.js';
import { findFaceLitMaterials } from './face-lit/materials.js';
import { findHaloMaterials } from './halo/materials.js';
import { findBoxMaterials } from './boxes/materials.js';

describe('finding what an assembly names', () => {
  it('finds all of it', () => {
    expect(findBoxMaterials(dispensary.assemblies[0]!, shippedCatalogue).ok).toBe(true);
    expect(findHaloMaterials(curlew.assemblies[0]!, shippedCatalogue).ok).toBe(true);
    expect(findFaceLitMaterials(tern.assemblies[0]!, shippedCatalogue).ok).toBe(true);
  });

  it('names every missing item at once, each by its field', () => {
    const lost = changed(dispensary, inAssembly({ 'light.stripId': 'x', 'face.sheetId': 'y' })).assemblies[0]!;
    const found = findBoxMaterials(lost, shippedCatalogue);
    expect(found.ok ? [] : found.problems.map(({ path }) => path)).toEqual(['light.stripId', 'face.sheetId']);
  });

  it('refuses sheets that would make light from nothing', () => {
    const bright = {
      ...shippedCatalogue,
      faces: shippedCatalogue.faces.map((face) => ({ ...face, transmittance: 0.8, reflectance: 0.5 })),
    };
    for (const found of [
      findBoxMaterials(dispensary.assemblies[0]!, bright),
      findFaceLitMaterials(tern.assemblies[0]!, bright),
    ])
      expect(found.ok ? [] : found.problems.map(({ path }) => path)).toEqual(['face.sheetId']);
  });
});
