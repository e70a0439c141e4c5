import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue, type Strip, type Wire } from '../../document/catalogue/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import type { SignResults } from '../results/index.js';
import { changed, signEvaluatedCoarsely, testFonts } from '../../testing/harness.js';
import { clipsLoseContact, wireOverPads } from './joint-rules.js';

let slipway: SignResults;
let clipped: SignResults;
beforeAll(async () => {
  const fonts: FontBook = await testFonts();
  slipway = signEvaluatedCoarsely(demoDesigns.slipway, fonts);
  clipped = signEvaluatedCoarsely(changed(demoDesigns.slipway, { 'power.joint': 'clip' }), fonts);
});

const catalogue = shippedCatalogue;
const wire = (id: string): Wire => catalogue.wires.find((each) => each.id === id)!;

/** The same sign with every wire of one gauge, on strip that differs as said. */
const wired = (gauge: string, strip: Partial<Strip> = {}): SignResults => ({
  ...slipway,
  circuit: {
    ...slipway.circuit,
    segments: slipway.circuit.segments.map((each) => ({ ...each, strip: { ...each.strip, ...strip } })),
    wires: slipway.circuit.wires.map((run) => ({ ...run, wire: wire(gauge) })),
  },
  assemblies: slipway.assemblies.map((own) => ({
    ...own,
    materials: { ...own.materials, strip: { ...own.materials.strip, ...strip } },
  })),
});
const thick = (results: SignResults) => wireOverPads({ results, catalogue });

describe('wire on the pads of strip', () => {
  it('may be thin, and may not be thicker than a pad is wide', () => {
    expect(thick(wired('pair-0.35'))).toBeNull();
    const found = thick(wired('pair-2.5'))!;
    const [core, takes] = found.numbers.map(({ value }) => value);
    // Strands of 2.5 mm² are 1.15 × √(4A/π) thick; four pads share 10 mm, seven tenths of it copper.
    expect(core).toBeCloseTo(1.15 * Math.sqrt(10 / Math.PI), 1);
    expect(takes).toBe(Math.round(10 * ((0.7 * 10) / 4)) / 10);
  });

  it('has the more room the wider the strip, and the less the more pads there are', () => {
    expect(thick(wired('pair-2.5', { widthMm: 14 }))).toBeNull();
    expect(thick(wired('pair-0.75', { widthMm: 6 }))).not.toBeNull();
    expect(thick(wired('pair-0.75', { widthMm: 6, colour: 'white', whitesK: [3000] }))).toBeNull();
  });

  it('must go through the cap of coated strip as well', () => {
    expect(thick(wired('pair-1.5', { widthMm: 20, protection: 'coated', heightMm: 2.5 }))).not.toBeNull();
    expect(thick(wired('pair-1.5', { widthMm: 20, protection: 'coated', heightMm: 5 }))).toBeNull();
  });

  it('counts the ends at strip alone, and none of modules or of other joints', () => {
    const atStrip = slipway.circuit.wires.flatMap(({ ends }) => ends).filter((end) => end !== 'lead').length;
    expect(thick(wired('pair-2.5'))!.numbers[2]!.value).toBe(atStrip);
    expect(thick(wired('pair-2.5', { form: 'modules' }))).toBeNull();
    const levers = wired('pair-2.5');
    const lever = catalogue.joints.find(({ kind }) => kind === 'lever')!;
    expect(thick({ ...levers, circuit: { ...levers.circuit, joint: lever } })).toBeNull();
  });
});

describe('clip connectors', () => {
  const clips = (results: SignResults) => clipsLoseContact({ results, catalogue });

  it('are two a wire, whatever its cores, and are tried colour by colour', () => {
    const { numbers, why, severity } = clips(clipped)!;
    expect(severity).toBe('note');
    expect(numbers[0]!.value).toBe(2 * clipped.circuit.wires.length);
    expect(why).toContain('pure red, green and blue');
  });

  it('of white strip are tried by full light', () => {
    const white = clipped.assemblies.map((own) => ({
      ...own,
      materials: { ...own.materials, strip: { ...own.materials.strip, colour: 'white' as const } },
    }));
    expect(clips({ ...clipped, assemblies: white })!.why).toContain('Light it fully and press each clip');
  });

  it('are no matter where joints are soldered', () => expect(clips(slipway)).toBeNull());
});
