import type { SetUp } from '@vitrum/core';

/** A line of a set-up sheet. */
export type SetUpNumber = readonly [label: string, value: string];

type Show = (mm: number) => string;

const fences = (setUp: Extract<SetUp, { kind: 'channel' }>, show: Show): readonly SetUpNumber[] => {
  const { passes, clearMm } = setUp;
  if (passes[0]!.fenceMm < 0) return [['Stands out of the fence', show(clearMm)]];
  return [
    [
      passes.length === 1 ? 'Fence' : `Fence, ${passes.length} passes`,
      passes.map(({ fenceMm }) => show(fenceMm)).join(' · '),
    ],
  ];
};

/** How far the fence’s own scale takes a set-up from what was wanted (mm): nothing worth saying below a twentieth. */
const scaleError = ({ passes }: Extract<SetUp, { kind: 'channel' }>): number =>
  Math.max(...passes.map(({ fenceMm, wantedMm }) => Math.abs(fenceMm - wantedMm)));

/** What is set, in the order in which it is set; lines are broken between measures, not within. */
export const setUpNumbers = (setUp: SetUp, shown: Show): readonly SetUpNumber[] => {
  const show: Show = (mm) => shown(mm).replaceAll(' ', '\u00a0');
  switch (setUp.kind) {
    case 'channel':
      return [
        ...fences(setUp, show),
        [setUp.heightsMm.length === 1 ? 'Height' : 'Heights', setUp.heightsMm.map(show).join(' · ')],
        ...(setUp.stopped === null ? [] : [['Stop blocks, both sides', show(setUp.stopped.blocksMm)] as const]),
        ...(scaleError(setUp) < 0.05 ? [] : [['Off by the scale', `${scaleError(setUp).toFixed(2)} mm`] as const]),
      ];
    case 'chamfer':
      return [
        ['Chamfer, along the surface', show(setUp.mouthMm)],
        ...(setUp.passes.length === 0
          ? []
          : [
              [
                setUp.passes.length === 1 ? 'Fence, to where it begins' : 'Fence, both mouths',
                setUp.passes.map(({ fenceMm }) => show(fenceMm)).join(' · '),
              ] as const,
              ['Point over the table', setUp.heightsMm.map(show).join(' · ')] as const,
            ]),
        ...(setUp.stopped === null ? [] : [['Stop blocks, both sides', show(setUp.stopped.blocksMm)] as const]),
      ];
    case 'rip':
      return [['Fence', show(setUp.passes[0].fenceMm)]];
    case 'length':
      return [[setUp.ends === 'mitre' ? 'Stop block, long side' : 'Stop block', show(setUp.stopMm)]];
    case 'spline':
      return [
        ['Fence along the slope', show(setUp.passes[0].fenceMm)],
        ['Height', show(setUp.heightsMm[0])],
        ['Spline', setUp.splineMm.map(show).join(' × ')],
      ];
    case 'drill':
      return [
        ['To the middle', show(setUp.passes[0].fenceMm)],
        ['From the front edge', setUp.alongMm.map(show).join(' · ')],
        ...setUp.bores.map(
          ({ diameterMm, depthMm }) => [`Ø ${show(diameterMm)}`, depthMm === null ? 'through' : show(depthMm)] as const,
        ),
      ];
  }
};
