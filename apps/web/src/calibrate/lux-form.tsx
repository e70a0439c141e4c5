import { fitTransmittance } from '@vitrum/core';
import { useState } from 'react';
import { fieldLook } from '../fields/field-row';
import { Button } from '../ui/button';
import { FitPlot } from './fit-plot';
import type { Readings } from './measure-dialog';
import { changeRow, emptyRow, filledRows, type ReadingRow } from './reading-rows';

/** Lux without and through the sample, as many times as one likes. */
export const LuxForm = ({ busy, onUse }: { readonly busy: boolean; readonly onUse: (readings: Readings) => void }) => {
  const [rows, setRows] = useState<readonly ReadingRow[]>([emptyRow]);
  const pairs = filledRows(rows).map(([bareLux, throughLux]) => ({ bareLux, throughLux }));
  const fit = pairs.length === 0 ? null : fitTransmittance(pairs);
  const most = Math.max(0, ...pairs.map(({ bareLux }) => (Number.isFinite(bareLux) ? bareLux : 0)));
  return (
    <>
      <p className="mb-2 text-[13px] text-soft">
        Same lamp, same place: read the meter, lay the sample on it, read again. Three pairs or more tell how sure it
        is.
      </p>
      <table className="figure w-full text-[13px]">
        <thead>
          <tr className="text-left font-sans text-xs text-soft">
            <th>without, lx</th>
            <th>through it, lx</th>
            <th className="text-right">off the fit</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, index) => (
            <tr key={index}>
              {(['first', 'second'] as const).map((key) => (
                <td key={key} className="py-0.5 pr-2">
                  <input
                    className={`${fieldLook} figure w-28 text-right`}
                    inputMode="decimal"
                    aria-label={`${key === 'first' ? 'Without' : 'Through'}, reading ${index + 1}`}
                    value={row[key]}
                    onChange={({ target }) => setRows(changeRow(rows, index, { ...row, [key]: target.value }))}
                  />
                </td>
              ))}
              <td className="text-right">
                {fit?.ok === true && fit.value.offShares[index] !== undefined
                  ? `${(fit.value.offShares[index] * 100).toFixed(1)} %`
                  : ''}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {fit?.ok === false && (
        <p role="alert" className="mt-1 text-[13px] font-semibold text-signal">
          {fit.problems[0]?.message}
        </p>
      )}
      {fit?.ok === true && (
        <>
          <FitPlot
            points={pairs.map(({ bareLux, throughLux }) => [bareLux, throughLux] as const)}
            curve={[
              [0, 0],
              [most, most * fit.value.value],
            ]}
            across="lux without the sample"
            upward="lux through it"
          />
          <p data-testid="fit">
            It passes <strong className="figure">{(fit.value.value * 100).toFixed(1)} %</strong>
            {fit.value.readings > 1 && <span className="figure"> ± {(fit.value.error * 100).toFixed(1)}</span>}
          </p>
          <Button
            look="strong"
            className="mt-2"
            disabled={busy}
            onClick={() =>
              onUse({
                figures: { transmittance: fit.value.value },
                how: 'lux meter, sample laid on it',
                readings: fit.value.readings,
                errorShare: Math.min(1, fit.value.error / fit.value.value),
              })
            }
          >
            Use it from now on
          </Button>
        </>
      )}
    </>
  );
};
