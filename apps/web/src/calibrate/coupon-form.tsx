import { fitCoupon, type CouponPhoto } from '@vitrum/core';
import { useState, type ChangeEvent } from 'react';
import { fieldLook } from '../fields/field-row';
import { FitPlot } from './fit-plot';
import type { Readings } from './measure-dialog';
import { UseReadings } from './readings-end';
import { linearGrey } from './reading-rows';

const widestPx = 640;

/** Pixels of an image file, made small enough to be read at once. */
const pixelsOf = async (file: File): Promise<Pick<CouponPhoto, 'width' | 'height' | 'linear'>> => {
  const bitmap = await createImageBitmap(file);
  const scale = Math.min(1, widestPx / bitmap.width);
  const [width, height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)];
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d');
  if (context === null) throw new Error('this browser cannot read pictures');
  context.drawImage(bitmap, 0, 0, width, height);
  return { width, height, linear: linearGrey(context.getImageData(0, 0, width, height).data) };
};

/** A photograph of a sanded coupon with one LED behind it: the lobe and the haze. */
export const CouponForm = ({
  busy,
  onUse,
}: {
  readonly busy: boolean;
  readonly onUse: (readings: Readings) => void;
}) => {
  const [pixels, setPixels] = useState<Awaited<ReturnType<typeof pixelsOf>> | null>(null);
  const [unread, setUnread] = useState<string | null>(null);
  const [widthMm, setWidthMm] = useState('120');
  const [distanceMm, setDistanceMm] = useState('60');
  const onFile = async ({ target }: ChangeEvent<HTMLInputElement>): Promise<void> => {
    const file = target.files?.[0];
    if (file === undefined) return;
    try {
      setPixels(await pixelsOf(file));
      setUnread(null);
    } catch {
      setUnread(`${file.name} is no picture that can be read; PNG and JPEG can.`);
    }
  };
  const fit =
    pixels === null ? null : fitCoupon({ ...pixels, widthMm: Number(widthMm), distanceMm: Number(distanceMm) });
  const problem = unread ?? (fit?.ok === false ? fit.problems[0]?.message : null);
  return (
    <>
      <p className="mb-2 text-[13px] text-soft">
        In a dark room, one LED behind the coupon, camera straight in front, exposure short enough that nothing is
        white.
      </p>
      <label className="mb-1 flex items-center justify-between gap-2">
        Photograph
        <input type="file" accept="image/png,image/jpeg" onChange={(event) => void onFile(event)} />
      </label>
      {(
        [
          ['Picture shows, mm wide', widthMm, setWidthMm],
          ['LED to coupon, mm', distanceMm, setDistanceMm],
        ] as const
      ).map(([label, value, set]) => (
        <label key={label} className="mb-1 flex items-center justify-between gap-2">
          {label}
          <input
            className={`${fieldLook} figure w-28 text-right`}
            inputMode="decimal"
            value={value}
            onChange={({ target }) => set(target.value)}
          />
        </label>
      ))}
      {problem !== null && problem !== undefined && (
        <p role="alert" className="mt-1 text-[13px] font-semibold text-signal">
          {problem}
        </p>
      )}
      {fit?.ok === true && unread === null && (
        <>
          <FitPlot
            points={fit.value.rings.map(([angle, seen]) => [angle, seen] as const)}
            curve={fit.value.rings.map(([angle, , fitted]) => [angle, fitted] as const)}
            across="degrees from the middle"
            upward="brightness"
          />
          <p data-testid="fit">
            It scatters <strong className="figure">{(fit.value.hazeShare * 100).toFixed(0)} %</strong> within ±
            <strong className="figure">{fit.value.sigmaDeg.toFixed(1)}°</strong>; rings off by{' '}
            <span className="figure">{(fit.value.offShare * 100).toFixed(1)} %</span>
          </p>
          <UseReadings
            busy={busy}
            onUse={onUse}
            readings={{
              figures: { sigmaDeg: fit.value.sigmaDeg, hazeShare: fit.value.hazeShare },
              how: 'photograph of a lit coupon',
              readings: fit.value.rings.length,
              errorShare: Math.min(1, fit.value.offShare),
            }}
          />
        </>
      )}
    </>
  );
};
