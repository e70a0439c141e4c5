import {
  fitKerf,
  fitSawKerf,
  kerfCoupon,
  kerfSquareMm,
  partDxf,
  partSvg,
  type Fit,
  type Result,
  type Stuff,
} from '@vitrum/core';
import { Download } from 'lucide-react';
import { useId, useState } from 'react';
import { Button } from '../ui/button';
import { Choice } from '../ui/choice';
import { saveFile } from '../ui/save-file';
import type { Readings } from './measure-dialog';
import { Refused, UseReadings } from './readings-end';
import { emptyRow, filledRows, type ReadingRow } from './reading-rows';
import { ReadingsTable } from './readings-table';

interface KerfFormProps {
  readonly toolName: string;
  /** A saw is measured by what it takes out of an offcut; all else by a square and its hole. */
  readonly isSaw: boolean;
  /** What it cuts, where its kerf may be measured in each. */
  readonly cuts: readonly Stuff[];
  readonly busy: boolean;
  readonly onUse: (readings: Readings) => void;
}

const CouponFiles = ({ toolName }: { readonly toolName: string }) => {
  const coupon = kerfCoupon(toolName);
  return (
    <p className="mb-2 flex gap-2">
      <Button onClick={() => saveFile('kerf-coupon.svg', partSvg(coupon), 'image/svg+xml')}>
        <Download size={15} aria-hidden /> Coupon, SVG
      </Button>
      <Button onClick={() => saveFile('kerf-coupon.dxf', partDxf(coupon), 'image/vnd.dxf')}>
        <Download size={15} aria-hidden /> Coupon, DXF
      </Button>
    </p>
  );
};

interface FitTold {
  readonly fit: Result<Fit>;
  readonly scaleErrorMm: number | null;
}

const fitOf = (isSaw: boolean, rows: readonly ReadingRow[]): FitTold | null => {
  const pairs = filledRows(rows);
  if (pairs.length === 0) return null;
  if (isSaw)
    return { fit: fitSawKerf(pairs.map(([wholeMm, halvesMm]) => ({ wholeMm, halvesMm }))), scaleErrorMm: null };
  const fit = fitKerf(
    pairs.map(([pieceMm, holeMm]) => ({ pieceMm, holeMm })),
    kerfSquareMm,
  );
  return { fit, scaleErrorMm: fit.ok ? fit.value.scaleErrorMm : null };
};

/** Below that calipers and hands differ more than the machine (mm). */
const scaleErrorShown = 0.05;

/** What the calipers say of a cut, turned into the width that it takes. */
export const KerfForm = ({ toolName, isSaw, cuts, busy, onUse }: KerfFormProps) => {
  const stuffId = useId();
  const [stuff, setStuff] = useState<Stuff | ''>('');
  const [rows, setRows] = useState<readonly ReadingRow[]>([emptyRow]);
  const told = fitOf(isSaw, rows);
  const fit = told?.fit ?? null;
  return (
    <>
      <p className="mb-2 text-[13px] text-soft">
        {isSaw
          ? 'Measure an offcut, saw it in two, and measure both halves pushed together. Three offcuts or more tell how sure it is.'
          : `Cut the coupon on the line, the machine’s own compensation off. Measure each ${kerfSquareMm} mm piece and the hole that it left, across the same way.`}
      </p>
      {!isSaw && <CouponFiles toolName={toolName} />}
      {cuts.length > 1 && (
        <div className="mb-2 flex items-center justify-between gap-3">
          <label htmlFor={stuffId}>Cut in</label>
          <Choice
            id={stuffId}
            className="w-40"
            value={stuff}
            options={[{ value: '', label: 'whatever it cuts' }, ...cuts.map((each) => ({ value: each, label: each }))]}
            onChoose={(chosen) => setStuff(chosen)}
          />
        </div>
      )}
      <ReadingsTable
        rows={rows}
        onChange={setRows}
        heads={isSaw ? ['whole, mm', 'both halves, mm'] : ['piece, mm', 'hole, mm']}
        names={isSaw ? ['Whole', 'Halves'] : ['Piece', 'Hole']}
        offShares={fit?.ok === true ? fit.value.offShares : null}
      />
      {fit?.ok === false && <Refused problems={fit.problems} />}
      {fit?.ok === true && (
        <>
          <p className="mt-2" data-testid="fit">
            It cuts <strong className="figure">{fit.value.value.toFixed(2)} mm</strong> wide
            {fit.value.readings > 1 && <span className="figure"> ± {fit.value.error.toFixed(2)}</span>}
          </p>
          {told?.scaleErrorMm !== null && told !== null && Math.abs(told.scaleErrorMm) >= scaleErrorShown && (
            <p className="text-[13px] text-caution">
              Apart from that the machine makes everything{' '}
              <span className="figure">{Math.abs(told.scaleErrorMm).toFixed(2)} mm</span>{' '}
              {told.scaleErrorMm > 0 ? 'too large' : 'too small'} over {kerfSquareMm} mm: that is its scale, to be set
              there, not a kerf.
            </p>
          )}
          <UseReadings
            busy={busy}
            onUse={onUse}
            readings={{
              figures: {
                cutMm: Math.round(fit.value.value * 1000) / 1000,
                ...(stuff === '' ? {} : { stuff }),
              },
              how: isSaw ? 'calipers, offcut sawn in two' : 'calipers, squares and their holes',
              readings: fit.value.readings,
              errorShare: Math.min(1, fit.value.error / fit.value.value),
            }}
          />
        </>
      )}
    </>
  );
};
