import type { BeforeHanging } from '../../judging/results/index.js';
import { outlineCentroid } from '../../base/outlines/index.js';
import { sum } from '../../base/maths/index.js';
import { centreOfAll, type HungBody } from '../../making/hanging/index.js';
import type { Hanging } from '../common/build.js';
import { plateMarginMm } from './parts.js';
import type { GrooveResults } from './results.js';
import type { GrooveAssembly } from './schema.js';

/** Fixings keep so far from the edge (mm). */
const fixingInMm = 18;

/** A carrier hangs in one piece, its parts joined. */
export const grooveHung = ({
  geometry,
  cut,
  bought,
  assembly,
  materials,
}: BeforeHanging<GrooveResults>): readonly HungBody[] => {
  const { bounds, outline, frontZMm, backMm } = geometry;
  const letters = assembly.carrier.kind === 'letters';
  const around = letters ? plateMarginMm : 0;
  const whole = {
    x: bounds.x - around,
    y: bounds.y - around,
    width: bounds.width + 2 * around,
    height: bounds.height + 2 * around,
  };
  const depthMm = frontZMm + (letters ? backMm : 0);
  const middle = outlineCentroid(outline) ?? ([0, 0] as const);
  const parts = cut.map(({ id, kg, count }) => ({
    kg: kg * count,
    centre: [...middle, id === 'back' ? backMm / 2 : depthMm / 2] as const,
  }));
  const things = {
    kg: sum(bought.map(({ hangs, kg }) => (hangs ? kg : 0))),
    centre: [...middle, depthMm / 2] as const,
  };
  const all = [...parts, things];
  const rear = cut.find(({ id }) => id === 'back') ?? cut[0];
  return [
    {
      id: 'carrier',
      name: 'Carrier',
      bounds: whole,
      depthMm,
      kg: sum(all.map(({ kg }) => kg)),
      centre: centreOfAll(all),
      hold: {
        x: whole.x + fixingInMm,
        y: whole.y + fixingInMm,
        width: Math.max(1, whole.width - 2 * fixingInMm),
        height: Math.max(1, whole.height - 2 * fixingInMm),
      },
      recessMm: 0,
      own: null,
      carrier:
        rear === undefined || geometry.parts.length > 1
          ? null
          : {
              partId: rear.id,
              name: rear.name,
              stuff: materials.back?.stuff ?? materials.sheet.stuff,
              thicknessMm: rear.thicknessMm,
              seen: true,
              corner: [whole.x, whole.y],
            },
      backer: null,
      rails: null,
    },
  ];
};

/** A flat carrier hangs as boards do; wires want room behind it, which its spacers give. */
export const grooveHanging = ({ carrier }: GrooveAssembly): Hanging => ({
  ways: ['spacers', 'holes', 'cleat', 'keyholes', 'chain'],
  usual: null,
  standsOffMm: carrier.spacerMm,
});
