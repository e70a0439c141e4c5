import { fitTransmittance } from '@vitrum/core';
import { useState } from 'react';
import { FitPlot } from './fit-plot';
import type { Readings } from './measure-dialog';
import { Refused, UseReadings } from './readings-end';
import { emptyRow, filledRows, type ReadingRow } from './reading-rows';
import { ReadingsTable } from './readings-table';

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
      <ReadingsTable
        rows={rows}
        onChange={setRows}
        heads={['without, lx', 'through it, lx']}
        names={['Without', 'Through']}
        offShares={fit?.ok === true ? fit.value.offShares : null}
      />
      {fit?.ok === false && <Refused problems={fit.problems} />}
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
          <UseReadings
            busy={busy}
            onUse={onUse}
            readings={{
              figures: { transmittance: fit.value.value },
              how: 'lux meter, sample laid on it',
              readings: fit.value.readings,
              errorShare: Math.min(1, fit.value.error / fit.value.value),
            }}
          />
        </>
      )}
    </>
  );
};
