import { fitBrightness, valueAt, type BoxResults } from '@vitrum/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { putMeasured } from '../../api/jobs';
import { fieldLook } from '../../fields/field-row';
import { Button } from '../../ui/button';
import { today } from '../../calibrate/reading-rows';

/** Where a meter is held: shares of the opening from its middle. */
const places = [
  { name: 'middle', x: 0, y: 0 },
  { name: 'left, half way', x: -0.25, y: 0 },
  { name: 'right, half way', x: 0.25, y: 0 },
] as const;

/** Luminance read on the finished box against the prediction: what the strip really gives. */
export const BrightnessCheck = ({ own }: { readonly own: BoxResults }) => {
  const { geometry, glow, materials } = own;
  const { strip } = materials;
  const [typed, setTyped] = useState<readonly string[]>(places.map(() => ''));
  const [said, setSaid] = useState<string | null>(null);
  const queries = useQueryClient();
  const predicted = places.map(({ x, y }) =>
    valueAt(glow.luminance, glow.grid, x * geometry.inside.widthMm, y * geometry.inside.heightMm),
  );
  const pairs = typed.flatMap((text, index) =>
    text.trim() === '' ? [] : [{ predictedCdM2: predicted[index]!, measuredCdM2: Number(text.replace(',', '.')) }],
  );
  const fit = pairs.length === 0 ? null : fitBrightness(pairs);
  const lumens = fit?.ok === true ? strip.lumensPerM * fit.value.value : strip.lumensPerM;
  const use = async (): Promise<void> => {
    if (fit?.ok !== true) return;
    try {
      await putMeasured('strips', strip.id, {
        figures: { lumensPerM: Math.round(lumens * 10) / 10 },
        how: 'luminance of a finished box',
        readings: pairs.length,
        errorShare: Math.min(1, fit.value.error / fit.value.value),
        on: today(),
      });
      await queries.invalidateQueries({ queryKey: ['catalogue'] });
      setSaid(`${strip.name} counts as ${lumens.toFixed(0)} lm/m from now on.`);
    } catch (error) {
      setSaid(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <section aria-label="Brightness read" className="no-print mt-3">
      <h3 className="font-bold">What your meter reads, cd/m²</h3>
      <table className="figure w-full text-[13px]">
        <tbody>
          {places.map(({ name }, index) => (
            <tr key={name} className="border-b border-line">
              <th scope="row" className="py-1 text-left font-sans font-normal">
                {name}
                <span className="figure block text-xs text-soft">predicted {Math.round(predicted[index]!)}</span>
              </th>
              <td className="text-right">
                <input
                  className={`${fieldLook} figure w-28 text-right`}
                  inputMode="decimal"
                  aria-label={`Read at ${name}`}
                  value={typed[index]}
                  onChange={({ target }) => setTyped(typed.map((old, place) => (place === index ? target.value : old)))}
                />
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
        <p className="mt-1 text-[13px]" data-testid="brightness-fit">
          It is {fit.value.value.toFixed(2)} times the prediction: the strip gives{' '}
          <span className="figure">{lumens.toFixed(0)} lm/m</span> rather than {strip.lumensPerM}.{' '}
          <Button className="mt-1" onClick={() => void use()}>
            Use it for this strip
          </Button>
        </p>
      )}
      {said !== null && (
        <p role="status" className="mt-1 text-[13px] font-semibold">
          {said}
        </p>
      )}
    </section>
  );
};
