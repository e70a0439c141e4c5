import type { StockDone } from '@vitrum/contract';
import {
  isCurrent,
  kindWords,
  stockForm,
  stockUnit,
  wordsOf,
  type Catalogue,
  type CatalogueKind,
  type ShelfItem,
} from '@vitrum/core';
import { useState } from 'react';
import { Button } from '../ui/button';
import { LabelledChoice } from '../ui/labelled-choice';
import { SheetDialog } from '../ui/sheet-dialog';
import { NumberInput } from './number-input';
import { useEntry } from './use-entry';

/** Tools and walls are not used up. */
const kept: ReadonlySet<CatalogueKind> = new Set(['tools', 'cutters', 'walls', 'linings', 'coatings']);

interface BoughtDialogProps {
  readonly catalogue: Catalogue;
  /** What is bought, where that is known. */
  readonly of?: { readonly kind: CatalogueKind; readonly itemId: string; readonly pieces: number } | null;
  readonly onClose: () => void;
  readonly onDone: (done: StockDone) => void;
}

const usualOf = (kind: CatalogueKind, item: ShelfItem | undefined): number => {
  const figures = (item ?? {}) as Readonly<Record<string, number>>;
  if (kind === 'strips') return figures['reelMm'] ?? 5000;
  if (kind === 'glues') return figures['ml'] ?? 100;
  if (kind === 'paints') return figures['canL'] ?? 1;
  if (kind === 'covers') return (figures['pieceMm'] ?? 1000) / 1000;
  return 1;
};

/** Something comes into the shop. */
export const BoughtDialog = ({ catalogue, of = null, onClose, onDone }: BoughtDialogProps) => {
  const [kind, setKind] = useState<CatalogueKind>(of?.kind ?? 'strips');
  const items = (catalogue[kind] as readonly ShelfItem[]).filter(isCurrent);
  const [itemId, setItemId] = useState(of?.itemId ?? items[0]?.id ?? '');
  const item = items.find(({ id }) => id === itemId);
  const form = stockForm(kind);
  const [pieces, setPieces] = useState(of?.pieces ?? 1);
  const [each, setEach] = useState(usualOf(kind, item));
  const figures = (item ?? {}) as Readonly<Record<string, number>>;
  const [size, setSize] = useState<readonly [number, number] | null>(null);
  const { enter, busy, problem } = useEntry(onDone);
  const choose = (nextKind: CatalogueKind, nextId: string): void => {
    setKind(nextKind);
    setItemId(nextId);
    setSize(null);
    setEach(
      usualOf(
        nextKind,
        (catalogue[nextKind] as readonly ShelfItem[]).find(({ id }) => id === nextId),
      ),
    );
  };
  const [wide, high] = size ?? [figures['sheetWidthMm'] ?? 0, figures['sheetHeightMm'] ?? 0];
  return (
    <SheetDialog open onClose={onClose} title="Something comes in">
      <div className="grid gap-3">
        <LabelledChoice
          label="From the list"
          value={kind}
          options={kindWords
            .filter((each_) => !kept.has(each_.kind))
            .map(({ kind: value, title }) => ({ value, label: title }))}
          onChoose={(next) => choose(next, (catalogue[next] as readonly ShelfItem[]).find(isCurrent)?.id ?? '')}
        />
        <LabelledChoice
          label={`Which ${wordsOf(kind).one}`}
          value={itemId}
          options={items.map(({ id, name }) => ({ value: id, label: name }))}
          onChoose={(next) => choose(kind, next)}
        />
        <NumberInput
          label={form === 'lengths' ? 'Reels' : form === 'sheets' ? 'Sheets or bars' : 'Pieces'}
          value={pieces}
          unit=""
          onChange={setPieces}
        />
        {form !== 'sheets' && stockUnit(kind) !== 'piece' && (
          <NumberInput
            label={form === 'lengths' ? 'On each' : 'In each'}
            value={form === 'lengths' ? each / 1000 : each}
            unit={form === 'lengths' ? 'm' : stockUnit(kind)}
            onChange={(value) => setEach(form === 'lengths' ? 1000 * value : value)}
          />
        )}
        {form === 'sheets' && (
          <>
            <NumberInput label="Wide" value={wide} unit="mm" onChange={(value) => setSize([value, high])} />
            <NumberInput label="High" value={high} unit="mm" onChange={(value) => setSize([wide, value])} />
          </>
        )}
        {problem !== null && (
          <p role="alert" className="font-semibold text-signal">
            {problem}
          </p>
        )}
        <div className="flex justify-end">
          <Button
            look="strong"
            disabled={busy || item === undefined}
            onClick={() =>
              enter({
                what: 'bought',
                kind,
                itemId,
                pieces: form === 'amount' ? 1 : pieces,
                amount: form === 'amount' ? each * pieces : form === 'lengths' ? each : 1,
                ...(form === 'sheets' ? { widthMm: wide, heightMm: high } : {}),
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
