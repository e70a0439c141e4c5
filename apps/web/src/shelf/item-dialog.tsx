import type { ShelfItemView } from '@vitrum/contract';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { wordsOf, type CatalogueKind, type ShelfItem } from '@vitrum/core';
import { useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { ApiError } from '../api/client';
import { addItem, changeItem, getItem } from '../api/shelf';
import { Button } from '../ui/button';
import { SheetDialog } from '../ui/sheet-dialog';
import { ItemFieldInput } from './item-field';
import { byName, formOf, nameOf, typedIn, wrongIn, type ItemForm } from './item-form';

/** What is done with an item: a new one, one like another, or one changed. */
export type ItemTask =
  | { readonly does: 'add'; readonly kind: CatalogueKind }
  | { readonly does: 'copy' | 'change'; readonly kind: CatalogueKind; readonly item: ShelfItem };

const jobsWords = (jobs: number): string => `${jobs} ${jobs === 1 ? 'job has' : 'jobs have'}`;

interface FormProps {
  readonly task: ItemTask;
  readonly currency: string;
  /** The item as the server has it; null for one that is not there yet. */
  readonly view: ShelfItemView | null;
  readonly onDone: (told: string) => void;
}

const titles = { add: 'A new', copy: 'Like', change: 'Change' } as const;

const titleOf = (task: ItemTask): string =>
  task.does === 'add' ? `A new ${wordsOf(task.kind).one}` : `${titles[task.does]} ${task.item.name}`;

const ItemFormSheet = ({ task, currency, view, onDone }: FormProps) => {
  const { kind } = task;
  const words = wordsOf(kind);
  const base = task.does === 'add' ? null : (view?.item ?? task.item);
  const [before] = useState<ItemForm>(() => {
    const form = formOf(kind, base);
    return task.does === 'copy' ? { ...form, name: `${form['name'] ?? ''}, own` } : form;
  });
  const queries = useQueryClient();
  const [failed, setFailed] = useState<string | null>(null);
  const { control, handleSubmit, setError, formState } = useForm<ItemForm>({
    defaultValues: before,
    resolver: (values) => {
      const wrong = wrongIn(kind, values, base);
      return Object.keys(wrong).length === 0
        ? { values, errors: {} }
        : {
            values: {},
            errors: Object.fromEntries(
              Object.entries(wrong).map(([name, message]) => [name, { type: 'figure', message }]),
            ),
          };
    },
  });
  const send = async (form: ItemForm): Promise<void> => {
    setFailed(null);
    try {
      if (task.does === 'change') {
        const { item, kept } = await changeItem(kind, task.item.id, typedIn(kind, form, before), view?.version ?? 0);
        onDone(
          kept === null
            ? `${item.name} is changed.`
            : `${item.name} is changed for designs to come; those that have it keep it as it was, and are offered this.`,
        );
      } else {
        const nothing = formOf(kind, null);
        const figures = typedIn(kind, form, nothing);
        const item = await addItem(kind, figures, task.does === 'copy' ? task.item.id : undefined);
        onDone(`${item.name} is on the shelf.`);
      }
      await queries.invalidateQueries({ queryKey: ['catalogue'] });
    } catch (error) {
      const problems = error instanceof ApiError ? error.report.problems : [];
      for (const [name, message] of Object.entries(byName(problems))) setError(name, { type: 'server', message });
      setFailed(
        error instanceof ApiError ? error.report.message : 'The server does not answer; what you typed is still here.',
      );
    }
  };
  const jobs = view?.jobs ?? 0;
  return (
    <form noValidate onSubmit={(event) => void handleSubmit(send)(event)}>
      <p className="mb-2 text-[13px] text-soft">
        {task.does === 'change' && jobs > 0
          ? `${jobsWords(jobs)} it and keep it as it is, with its price; the page of each offers what you change here. `
          : ''}
        {words.per === null ? 'Its price is of no account to a job.' : `Its price is for one ${words.per}.`} Figures
        that you do not know are typical ones to begin with; they can be measured later.
      </p>
      <div className="divide-y divide-line">
        {words.fields.map((field) => (
          <Controller
            key={field.path}
            control={control}
            name={nameOf(field.path)}
            render={({ field: { value, onChange }, fieldState }) => (
              <ItemFieldInput
                field={field}
                currency={currency}
                value={value ?? ''}
                problem={fieldState.error?.message}
                onChange={onChange}
              />
            )}
          />
        ))}
      </div>
      {failed !== null && (
        <p role="alert" className="mt-2 font-semibold text-signal">
          {failed}
        </p>
      )}
      <div className="sticky -bottom-4 mt-3 flex items-center justify-end gap-3 border-t border-line bg-sheet py-3">
        {Object.keys(formState.errors).length > 0 && (
          <span className="text-[13px] text-signal">
            {Object.keys(formState.errors).length === 1
              ? 'One figure is not right yet'
              : `${Object.keys(formState.errors).length} figures are not right yet`}
          </span>
        )}
        <Button type="submit" look="strong" disabled={formState.isSubmitting}>
          {task.does === 'change' ? 'Change it' : 'Put it on the shelf'}
        </Button>
      </div>
    </form>
  );
};

interface ItemDialogProps {
  readonly task: ItemTask;
  readonly currency: string;
  readonly onClose: () => void;
  readonly onDone: (told: string) => void;
}

/** The figures of an item, to be typed, copied or changed. */
export const ItemDialog = ({ task, currency, onClose, onDone }: ItemDialogProps) => {
  const changes = task.does === 'change' ? task.item.id : null;
  const { data, error } = useQuery({
    queryKey: ['shelf item', task.kind, changes],
    queryFn: () => getItem(task.kind, changes ?? ''),
    enabled: changes !== null,
    staleTime: 0,
    gcTime: 0,
  });
  const ready = changes === null || data !== undefined;
  return (
    <SheetDialog open onClose={onClose} title={titleOf(task)} wide>
      {error !== null && <p role="alert">{error.message}</p>}
      {ready && <ItemFormSheet task={task} currency={currency} view={data ?? null} onDone={onDone} />}
    </SheetDialog>
  );
};
