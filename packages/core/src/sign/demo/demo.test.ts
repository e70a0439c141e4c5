import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { asArtwork, takeDrawing, usualIntake } from '../../artwork/intake/index.js';
import { readDesign } from '../design/index.js';
import { demoDesigns, demoJobs } from './index.js';

const inDocs = (name: string): string =>
  readFileSync(new URL(`../../../../../docs/drawings/${name}`, import.meta.url), 'utf8');

describe('the demo shop', () => {
  it.each([
    ['svg', 'fish-counter', 1],
    ['dxf', 'ferry-way', 1.5],
  ] as const)('has a job whose artwork is what the %s file in the docs gives', (kind, slug, scale) => {
    const drawing = demoDesigns[slug].assemblies[0]!.artwork.drawing!;
    const taken = takeDrawing(
      { kind, name: drawing.name, text: inDocs(drawing.name) },
      { ...usualIntake, scale, gapMm: usualIntake.gapMm * scale },
    );
    if (!taken.ok) throw new Error(taken.problems[0]!.message);
    expect(taken.value.changes).toEqual([]);
    expect(asArtwork(taken.value, drawing.name)).toEqual(drawing);
  });

  it('has jobs of different standing, each a valid design of its own', () => {
    expect(new Set(demoJobs.map(({ design }) => design.name)).size).toBe(demoJobs.length);
    expect(new Set(demoJobs.map(({ status }) => status)).size).toBeGreaterThan(2);
    for (const { design, dueInDays, status, handedOverDaysAgo } of demoJobs) {
      expect(readDesign(JSON.parse(JSON.stringify(design))).ok).toBe(true);
      // What hangs was due before it was handed over.
      if (status === 'delivered') expect(handedOverDaysAgo).toBeGreaterThan(0);
      else expect(dueInDays).toBeGreaterThan(0);
    }
  });

  it('has one job for every demo design', () =>
    expect(demoJobs.map(({ slug }) => slug).sort()).toEqual(Object.keys(demoDesigns).sort()));
});
