import type { Catalogue, Strip } from '../../document/catalogue/index.js';
import type { StageResults } from '../../sign/evaluate/types.js';
import type { Candidate, Remedy } from './types.js';

const at = 'assemblies.0';

/** Below this a strip is meant for sockets and batteries of its own voltage (V). */
const leastUsualV = 12;

/** Kinds that are only proposed in place of their like: pixels want data, 5 V its own supplies. */
const isLike = (strip: Strip, now: Strip): boolean =>
  (strip.addressable === true) === (now.addressable === true) &&
  (strip.voltageV >= leastUsualV || strip.voltageV === now.voltageV);

/** Strips that suit the brief: colour, white and protection. */
export const suitableStrips = ({ design, materials }: StageResults, catalogue: Catalogue): readonly Strip[] => {
  const { light, exposure } = design.brief;
  return catalogue.strips.filter(
    (strip) =>
      (light.kind === 'rgb' ? strip.colour !== 'white' : strip.whitesK.includes(light.cctK)) &&
      (exposure === 'indoors' || strip.protection !== 'bare') &&
      isLike(strip, materials.strip),
  );
};

/** Other strips, each a candidate, in the order given. */
export const changeStrip = (strips: readonly Strip[]): Remedy => ({
  id: 'change-strip',
  candidates: strips.map((strip) => ({
    label: strip.name,
    change: [{ path: `${at}.light.stripId`, value: strip.id }],
  })),
});

/** A single change as a remedy. */
export const oneChange = (id: string, label: string, path: string, value: unknown): Remedy => ({
  id,
  candidates: [{ label, change: [{ path, value }] } satisfies Candidate],
});
