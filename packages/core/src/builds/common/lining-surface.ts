import type { Lining, Stuff } from '../../document/catalogue/index.js';
import type { Surface } from '../../making/finishing/index.js';

/** The inside as a surface, where it is painted: its coats are the lining’s. */
export const liningSurface = (
  { paintId, coats }: Lining,
  m2: number,
  stuff: Stuff,
  name = 'inside',
): readonly Surface[] =>
  paintId === undefined
    ? []
    : [
        {
          id: 'inside',
          name,
          stuff,
          m2,
          turned: false,
          masked: 'what is glued or taped later',
          showsGrain: false,
          comesFinished: false,
          fixed: [{ paintId, coats: coats ?? 1 }],
        },
      ];
