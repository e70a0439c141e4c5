import { thrownBackAt } from './fresnel.js';
import type { SideFinish } from './types.js';

/** What happens to light at an edge that is not lit: the share thrown back like a mirror, and the share scattered back. */
export interface SideLaw {
  /** By the cosine of the angle to the edge’s normal. */
  readonly mirrored: (cosine: number) => number;
  /** Of what is not mirrored. */
  readonly scattered: number;
}

/** Typical: sawn and sanded edges let most of the light out; white tape gives back more; black tape nothing. */
const scatters: Readonly<Record<SideFinish, number>> = {
  polished: 0,
  sawn: 0.3,
  sanded: 0.35,
  white: 0.75,
  black: 0,
};

const none = (): number => 0;

/** The law of an edge in a sheet of this index. Tape is stuck on and touches the edge: there is no total reflection under it. */
export const sideLaw = (finish: SideFinish, index: number): SideLaw => ({
  mirrored: finish === 'polished' ? (cosine) => thrownBackAt(cosine, index) : none,
  scattered: scatters[finish],
});
