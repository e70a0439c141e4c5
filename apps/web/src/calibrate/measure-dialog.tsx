import type { MeasurableKind, MeasuredFigures, Stuff } from '@vitrum/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { forgetMeasured, putMeasured } from '../api/jobs';
import { Button } from '../ui/button';
import { SheetDialog } from '../ui/sheet-dialog';
import { CouponForm } from './coupon-form';
import { KerfForm } from './kerf-form';
import { LuxForm } from './lux-form';
import { today } from './reading-rows';
import { Ways } from '../ui/ways';

/** What readings have come to. */
export interface Readings {
  readonly figures: MeasuredFigures;
  readonly how: string;
  readonly readings: number;
  readonly errorShare: number;
}

interface MeasureDialogProps {
  readonly kind: MeasurableKind;
  readonly item: {
    readonly id: string;
    readonly name: string;
    readonly provenance: 'typical' | 'measured';
    /** Of what cuts: a blade is measured otherwise than a beam or a bit. */
    readonly kind?: string;
    /** Of a tool: what it cuts. */
    readonly cuts?: readonly { readonly stuff: Stuff }[];
  };
  readonly onClose: () => void;
}

const ways = [
  { id: 'lux', label: 'Lux through it' },
  { id: 'coupon', label: 'Photograph of a coupon' },
] as const;

/** Turns an item’s figures from typical into the shop’s own. */
export const MeasureDialog = ({ kind, item, onClose }: MeasureDialogProps) => {
  const [way, setWay] = useState<(typeof ways)[number]['id']>('lux');
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const queries = useQueryClient();
  const send = async (work: () => Promise<unknown>): Promise<void> => {
    setBusy(true);
    try {
      await work();
      await queries.invalidateQueries({ queryKey: ['catalogue'] });
      onClose();
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
      setBusy(false);
    }
  };
  const use = (readings: Readings): void => void send(() => putMeasured(kind, item.id, { ...readings, on: today() }));
  const cuts = kind === 'tools' || kind === 'cutters';
  return (
    <SheetDialog open onClose={onClose} title={`Measure: ${item.name}`}>
      {cuts ? (
        <KerfForm
          toolName={item.name}
          isSaw={item.kind === 'blade'}
          cuts={[...new Set(item.cuts?.map(({ stuff }) => stuff) ?? [])]}
          busy={busy}
          onUse={use}
        />
      ) : (
        <>
          <div className="mb-3">
            <Ways
              label="How"
              value={way}
              options={ways.map(({ id, label }) => ({ value: id, label }))}
              onChoose={setWay}
            />
          </div>
          {way === 'lux' ? <LuxForm busy={busy} onUse={use} /> : <CouponForm busy={busy} onUse={use} />}
        </>
      )}
      {problem !== null && (
        <p role="alert" className="mt-2 font-semibold text-signal">
          {problem}
        </p>
      )}
      {item.provenance === 'measured' && (
        <p className="mt-4 border-t border-line pt-3">
          <Button disabled={busy} onClick={() => void send(() => forgetMeasured(kind, item.id))}>
            Go back to the typical figures
          </Button>
        </p>
      )}
    </SheetDialog>
  );
};
