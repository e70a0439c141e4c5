import type { ImportReport } from '@vitrum/contract';
import { useQueryClient } from '@tanstack/react-query';
import { wordsOf, type CatalogueKind } from '@vitrum/core';
import { useState } from 'react';
import { importList } from '../api/shelf';
import { Button } from '../ui/button';
import { SheetDialog } from '../ui/sheet-dialog';

/** A file of a list that was read, and what it would do. */
export interface ReadFile {
  readonly kind: CatalogueKind;
  readonly name: string;
  readonly text: string;
  readonly report: ImportReport;
}

const mostShown = 12;

const Rest = ({ of }: { readonly of: number }) =>
  of > mostShown ? <li className="text-soft">and {of - mostShown} more</li> : null;

interface ImportDialogProps {
  readonly file: ReadFile;
  readonly onClose: () => void;
  readonly onDone: (told: string) => void;
}

/** What a file would add and change, and what of it was not understood; nothing is taken before it is looked at. */
export const ImportDialog = ({ file, onClose, onDone }: ImportDialogProps) => {
  const { kind, name, text, report } = file;
  const { added, changed, same, unknownColumns, complaints } = report;
  const byLine = [...new Set(complaints.map(({ line }) => line))].map((line) => ({
    line,
    message: complaints
      .filter((each) => each.line === line)
      .map(({ message }) => message)
      .join('; '),
  }));
  const queries = useQueryClient();
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const take = async (): Promise<void> => {
    setBusy(true);
    try {
      const taken = await importList(kind, text, true);
      await queries.invalidateQueries({ queryKey: ['catalogue'] });
      onDone(`${taken.added.length} added and ${taken.changed.length} changed from ${name}.`);
    } catch (error) {
      setFailed(error instanceof Error ? error.message : String(error));
      setBusy(false);
    }
  };
  const nothing = added.length === 0 && changed.length === 0;
  return (
    <SheetDialog open onClose={onClose} title={`${name}, for ${wordsOf(kind).title.toLowerCase()}`} wide>
      <p className="mb-2">
        {added.length} new, {changed.length} changed, {same} as they were
        {byLine.length > 0 ? `, ${byLine.length} ${byLine.length === 1 ? 'line' : 'lines'} not understood` : ''}.
      </p>
      {byLine.length > 0 && (
        <section aria-label="Not understood" className="mb-3">
          <h3 className="font-bold text-signal">Not understood, and not taken</h3>
          <ul className="text-[13px]">
            {byLine.slice(0, mostShown).map(({ line, message }) => (
              <li key={line}>
                <span className="figure">line {line}</span>: {message}
              </li>
            ))}
            <Rest of={byLine.length} />
          </ul>
        </section>
      )}
      {unknownColumns.length > 0 && (
        <p className="mb-3 text-[13px]">
          Columns that no figure is called after are passed over: {unknownColumns.join(', ')}.
        </p>
      )}
      {added.length > 0 && (
        <section aria-label="New" className="mb-3">
          <h3 className="font-bold">New</h3>
          <ul className="text-[13px]">
            {added.slice(0, mostShown).map((item) => (
              <li key={item.id}>{item.name}</li>
            ))}
            <Rest of={added.length} />
          </ul>
        </section>
      )}
      {changed.length > 0 && (
        <section aria-label="Changed" className="mb-3">
          <h3 className="font-bold">Changed</h3>
          <ul className="text-[13px]">
            {changed.slice(0, mostShown).map((item) => (
              <li key={item.id}>
                {item.name}:{' '}
                {item.differences
                  .slice(0, 4)
                  .map(({ label, before, after }) => `${label.toLowerCase()} ${before} → ${after}`)
                  .join('; ')}
              </li>
            ))}
            <Rest of={changed.length} />
          </ul>
        </section>
      )}
      {failed !== null && (
        <p role="alert" className="font-semibold text-signal">
          {failed}
        </p>
      )}
      <div className="flex justify-end gap-2 border-t border-line pt-3">
        <Button onClick={onClose}>{nothing ? 'Close' : 'Leave it'}</Button>
        {!nothing && (
          <Button look="strong" disabled={busy} onClick={() => void take()}>
            Take {added.length + changed.length === 1 ? 'it' : `all ${added.length + changed.length}`}
          </Button>
        )}
      </div>
    </SheetDialog>
  );
};
