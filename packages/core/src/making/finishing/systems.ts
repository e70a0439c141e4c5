import type { Brief } from '../../document/design/index.js';
import type { Layer, Surface } from './types.js';

/** A usual build-up of coats. */
export interface FinishSystem {
  readonly id: string;
  readonly name: string;
  readonly layers: readonly Layer[];
}

/** Build-ups to choose from. */
export const finishSystems: readonly FinishSystem[] = [
  { id: 'raw', name: 'as it is', layers: [] },
  {
    id: 'enamel',
    name: 'primer, two coats of enamel',
    layers: [
      { paintId: 'primer', coats: 1 },
      { paintId: 'enamel', coats: 2 },
    ],
  },
  { id: 'oil', name: 'two coats of hard oil', layers: [{ paintId: 'hard-oil', coats: 2 }] },
  {
    id: 'sprayed',
    name: 'filler primer, two coats sprayed',
    layers: [
      { paintId: 'filler-primer', coats: 1 },
      { paintId: 'spray-colour', coats: 2 },
    ],
  },
  {
    id: 'metal-sprayed',
    name: 'etch primer, two coats sprayed',
    layers: [
      { paintId: 'etch-primer', coats: 1 },
      { paintId: 'spray-colour', coats: 2 },
    ],
  },
  { id: 'clear', name: 'two coats of clear', layers: [{ paintId: 'spray-clear', coats: 2 }] },
  {
    id: 'white',
    name: 'two coats of matt white',
    layers: [{ paintId: 'matt-white-paint', coats: 2 }],
  },
];

const systemOf = (id: string): readonly Layer[] => finishSystems.find((system) => system.id === id)?.layers ?? [];

/** What a surface usually gets: wood with a grain to be seen is oiled, other wood painted, the rest as it is made of. */
export const usualLayers = (
  { stuff, showsGrain, comesFinished }: Pick<Surface, 'stuff' | 'showsGrain' | 'comesFinished'>,
  { exposure }: Pick<Brief, 'exposure'>,
): readonly Layer[] => {
  if (comesFinished) return systemOf('raw');
  if (stuff === 'wood') return systemOf(showsGrain && exposure === 'indoors' ? 'oil' : 'enamel');
  if (stuff === 'metal') return systemOf('metal-sprayed');
  return systemOf(stuff === 'printed' || stuff === 'foam' ? 'sprayed' : 'raw');
};
