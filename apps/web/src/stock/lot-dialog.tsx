import type { LotView, StockDone } from '@vitrum/contract';
import { useState } from 'react';
import { Button } from '../ui/button';
import { SheetDialog } from '../ui/sheet-dialog';
import { Ways } from '../ui/ways';
import { amountWords } from './amount-words';
import { NumberInput } from './number-input';
import { useEntry } from './use-entry';

type What = 'used' | 'counted' | 'returned' | 'parted' | 'scrapped' | 'opened';

const ways: readonly { readonly value: What; readonly label: string }[] = [
  { value: 'used', label: 'Used' },
  { value: 'counted', label: 'Counted' },
  { value: 'returned', label: 'Came back' },
  { value: 'parted', label: 'Cut off' },
  { value: 'scrapped', label: 'Spoilt' },
  { value: 'opened', label: 'Opened' },
];

const labels: Readonly<Record<What, string>> = {
  used: 'Used of it',
  counted: 'There now, as counted',
  returned: 'Came back to it',
  parted: 'Cut off, and kept as a piece of its own',
  scrapped: 'Spoilt, or thrown away',
  opened: '',
};

interface LotDialogProps {
  readonly lot: LotView;
  readonly onClose: () => void;
  readonly onDone: (done: StockDone) => void;
}

/** What becomes of one lot: used, counted, given back, cut in two, spoilt, opened. */
export const LotDialog = ({ lot, onClose, onDone }: LotDialogProps) => {
  const [what, setWhat] = useState<What>('used');
  const [amount, setAmount] = useState(0);
  const [note, setNote] = useState('');
  const { enter, busy, problem } = useEntry(onDone);
  const inMetres = lot.unit === 'mm';
  const isSheet = lot.form === 'sheets';
  const [offcut, setOffcut] = useState<readonly [number, number]>([lot.widthMm ?? 0, lot.heightMm ?? 0]);
  // Of a sheet that is begun one piece is left.
  const asOffcut = isSheet && what === 'parted';
  return (
    <SheetDialog open onClose={onClose} title={lot.name}>
      <p className="mb-2 text-[13px] text-soft">
        {amountWords(lot.amount, lot.unit)} by the ledger
        {lot.widthMm !== null && lot.heightMm !== null ? `, ${lot.widthMm} × ${lot.heightMm} mm` : ''}
        {lot.openedOn === null ? '' : `, opened ${lot.openedOn}`}. What was entered is never changed: a count that
        differs is an entry of its own.
      </p>
      <div className="mb-3 overflow-x-auto">
        <Ways label="What became of it" value={what} options={ways} onChoose={setWhat} />
      </div>
      <div className="grid gap-3">
        {asOffcut && (
          <>
            <p className="text-[13px]">One sheet is cut into; what is left of it is kept as an offcut:</p>
            <NumberInput label="Wide" value={offcut[0]} unit="mm" onChange={(value) => setOffcut([value, offcut[1]])} />
            <NumberInput label="High" value={offcut[1]} unit="mm" onChange={(value) => setOffcut([offcut[0], value])} />
          </>
        )}
        {what !== 'opened' && !asOffcut && (
          <NumberInput
            label={labels[what]}
            value={inMetres ? amount / 1000 : amount}
            unit={inMetres ? 'm' : lot.unit}
            onChange={(value) => setAmount(inMetres ? 1000 * value : value)}
          />
        )}
        <label className="flex items-center justify-between gap-3">
          Note
          <input
            className="w-64 rounded-[3px] border border-line bg-sheet px-2 py-1 hover:border-soft"
            maxLength={200}
            value={note}
            onChange={(event) => setNote(event.target.value)}
          />
        </label>
        {problem !== null && (
          <p role="alert" className="font-semibold text-signal">
            {problem}
          </p>
        )}
        <div className="flex justify-end">
          <Button
            look="strong"
            disabled={busy}
            onClick={() =>
              enter({
                what,
                lotId: lot.id,
                ...(asOffcut
                  ? { amount: 1, widthMm: offcut[0], heightMm: offcut[1] }
                  : what === 'opened'
                    ? {}
                    : { amount }),
                ...(note === '' ? {} : { note }),
              })
            }
          >
            Enter it
          </Button>
        </div>
      </div>
    </SheetDialog>
  );
};
