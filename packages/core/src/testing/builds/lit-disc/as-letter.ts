import { only } from '../../only.js';
import { tern } from '../../../builds/face-lit/demos.js';
import type { FaceLitResults } from '../../../builds/face-lit/results.js';
import type { FaceLitAssembly } from '../../../builds/face-lit/schema.js';
import type { AssemblyResults } from '../../../judging/results/index.js';
import type { LitDiscAssembly } from './schema.js';

/** What is found for a lit disc: what is found for letters of its shape. */
export interface LitDiscResults extends AssemblyResults<LitDiscAssembly> {
  readonly build: 'lit-disc';
  readonly lettering: FaceLitResults['lettering'];
  readonly materials: FaceLitResults['materials'];
  readonly geometry: FaceLitResults['geometry'];
  readonly runs: FaceLitResults['runs'];
  readonly glow: FaceLitResults['glow'];
  readonly stack: FaceLitResults['stack'];
  readonly returns: FaceLitResults['returns'];
  readonly jumpers: FaceLitResults['jumpers'];
}

const corners = 72;
export const can = only(tern.assemblies);

const roundRing = (radiusMm: number): readonly number[] =>
  Array.from({ length: corners }, (_, corner) => (corner * 2 * Math.PI) / corners).flatMap((angle) => [
    radiusMm * Math.cos(angle),
    radiusMm * Math.sin(angle),
  ]);

/** A disc as the one letter that it is. */
export const asLetter = ({ disc, light, face, artwork, id, place }: LitDiscAssembly): FaceLitAssembly => ({
  ...can,
  id,
  place,
  artwork: { ...artwork, drawing: { name: 'disc', rings: [[...roundRing(disc.diameterMm / 2)]], scale: 1 } },
  cans: { ...can.cans, depthInsideMm: disc.depthInsideMm },
  light: { ...light, standing: false },
  face: { ...face },
});

/** What is found for a disc as what is found for its letter. */
export const asWhole = (results: LitDiscResults): FaceLitResults => ({
  ...results,
  build: 'face-lit',
  assembly: asLetter(results.assembly),
});
