import type { Glow } from '@vitrum/core';

/** What the eye makes of it, in a sentence. */
export const Verdict = ({ glow }: { readonly glow: Glow }) => (
  <p
    data-testid="verdict"
    className={`my-2 border border-l-4 border-line bg-sheet px-3 py-2 ${glow.verdict.verdict === 'even' ? 'border-l-sound' : 'border-l-signal'}`}
  >
    {glow.verdict.sentence}
  </p>
);

/** Figures under one another, each with what it is of. */
export const ReportTable = ({ rows }: { readonly rows: readonly (readonly [label: string, value: string])[] }) => (
  <table className="figure w-full text-[13px]">
    <tbody>
      {rows.map(([label, value]) => (
        <tr key={label} className="border-b border-line">
          <th scope="row" className="py-0.5 text-left font-sans font-normal">
            {label}
          </th>
          <td className="text-right whitespace-nowrap">{value}</td>
        </tr>
      ))}
    </tbody>
  </table>
);

/** Shares of one as the reports show them. */
export const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** Places that stand out. */
export const Spots = ({ glow }: { readonly glow: Glow }) =>
  glow.spots.length === 0 ? null : (
    <>
      <h3 className="mt-3 font-bold">Hot and dark places</h3>
      <ul className="text-[13px]" data-testid="spots">
        {glow.spots.map(({ kind, cdM2, overMean, why, at: [x, y] }) => (
          <li key={`${kind}${x}${y}`} className="border-b border-line py-1">
            <span className="figure float-right">
              {Math.round(cdM2)} cd/m², {Math.round(overMean * 100)} %
            </span>
            <strong>{kind}</strong> <span className="text-soft">{why}</span>
          </li>
        ))}
      </ul>
      <p className="text-xs text-soft">Per cent of the mean; false colour marks them on the front.</p>
    </>
  );

/** How the lit sign stands up to each ambient light. */
export const LitToUnlit = ({ glow }: { readonly glow: Glow }) => (
  <>
    <h3 className="mt-3 font-bold">Lit to unlit</h3>
    <ReportTable
      rows={glow.daylight.map(({ ambient, lux, litOverUnlit }) => [
        `${ambient}, ${lux.toLocaleString('en')} lx`,
        `${litOverUnlit >= 100 ? Math.round(litOverUnlit).toLocaleString('en') : litOverUnlit.toFixed(2)} : 1`,
      ])}
    />
  </>
);
