import type { Hang } from '@vitrum/core';
import { useLength } from '../../view/use-length';
import { ReportTable } from '../glow-report';

const kg = (value: number): string => `${value.toFixed(2)} kg`;

/** What it weighs, where that lies, and what each thing that holds it carries of what it may. */
export const HangReport = ({ hang }: { readonly hang: Hang }) => {
  const show = useLength();
  const { fixings, cleat, feet, hardware, back, centre, bodies } = hang;
  const use = Math.max(0, ...fixings.map((each) => each.use));
  const along = Math.max(0, ...fixings.map(({ load }) => load.kg));
  const off = Math.max(0, ...fixings.map(({ pullKg }) => pullKg));
  const rows: readonly (readonly [string, string])[] = [
    ['weight', kg(hang.kg)],
    ['its centre, right and up', `${show(centre[0])}, ${show(centre[1])}`],
    ['its centre, off its rear', show(centre[2])],
    ...(bodies.length > 1 ? ([['heaviest of them', kg(Math.max(...bodies.map((body) => body.kg)))]] as const) : []),
    ...(fixings.length > 0
      ? ([
          ['most along the wall', kg(along)],
          ['most straight off it', kg(off)],
          ['of what a fixing may', `${Math.round(100 * use)} %`],
        ] as const)
      : []),
    ...(hardware === null
      ? []
      : ([[hardware.name.toLowerCase(), `${hardware.kg.toFixed(1)} of ${hardware.ratedKg} kg`]] as const)),
    ...(back === null
      ? []
      : ([['the back, at one place', `${back.kg.toFixed(1)} of ${back.holdsKg.toFixed(1)} kg`]] as const)),
    ...(cleat === null
      ? []
      : ([
          ['batten on the wall', `${show(cleat.wallLengthMm)} × ${show(cleat.highMm)}`],
          ['ripped from a strip', show(cleat.stripMm)],
          ...(cleat.footMm > 0 ? ([['foot spacer', show(cleat.footMm)]] as const) : []),
        ] as const)),
    ...(feet === null
      ? []
      : ([
          ['feet, deep', show(feet.depthMm)],
          ['tipped until it falls', `${feet.tipDeg.toFixed(0)}°`],
        ] as const)),
  ];
  return (
    <>
      <h3 className="mt-3 font-bold">What it carries</h3>
      <ReportTable rows={rows} />
      <p className="text-xs text-soft">
        Weights are computed from the parts; what fixings may carry is typical, and the maker’s table goes before it.
      </p>
    </>
  );
};
