import type { RatesView } from '@vitrum/contract';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { operations, usualColours, type Operation } from '@vitrum/core';
import { useId, useState, type ReactNode } from 'react';
import { ApiError } from '../api/client';
import { changeRates, getRates } from '../api/rates';
import { FieldRow, fieldLook } from '../fields/field-row';
import { Button } from '../ui/button';
import { SheetDialog } from '../ui/sheet-dialog';
import { operationWords, settingsOf, settingsToSend, wrongSettings, type SettingsForm } from './settings-words';

type TextField = Exclude<keyof SettingsForm, 'colours'>;

interface TextProps {
  readonly label: string;
  readonly unit: string;
  readonly value: string;
  readonly problem: string | undefined;
  readonly onType: (text: string) => void;
}

const SettingText = ({ label, unit, value, problem, onType }: TextProps) => {
  const id = useId();
  return (
    <FieldRow id={id} label={`${label}, ${unit}`} problem={problem ?? null}>
      <input
        id={id}
        className={`${fieldLook} figure text-right`}
        value={value}
        autoComplete="off"
        aria-invalid={problem !== undefined}
        onChange={(event) => onType(event.target.value)}
      />
    </FieldRow>
  );
};

interface ColourProps {
  readonly operation: Operation;
  readonly value: string;
  readonly onChoose: (colour: string) => void;
}

const SettingColour = ({ operation, value, onChoose }: ColourProps) => {
  const id = useId();
  return (
    <div className="flex items-center gap-2 py-1">
      <input
        id={id}
        type="color"
        className="h-7 w-12 rounded-[3px] border border-line bg-sheet"
        value={value}
        onChange={(event) => onChoose(event.target.value)}
      />
      <label htmlFor={id} className="min-w-0 flex-1">
        {operationWords[operation]}
      </label>
      <span className="figure text-xs text-soft [font-variant-ligatures:none]">{value}</span>
    </div>
  );
};

const Part = ({ title, children }: { readonly title: string; readonly children: ReactNode }) => (
  <section aria-label={title} className="mb-4">
    <h3 className="mb-1 font-bold">{title}</h3>
    {children}
  </section>
);

interface FormProps {
  readonly view: RatesView;
  readonly onDone: (told: string) => void;
}

const SettingsSheet = ({ view, onDone }: FormProps) => {
  const queries = useQueryClient();
  const [form, setForm] = useState(() => settingsOf(view.rates));
  const [failed, setFailed] = useState<string | null>(null);
  const [sending, setSending] = useState(false);
  const wrong = wrongSettings(form);
  const send = async (): Promise<void> => {
    setFailed(null);
    setSending(true);
    try {
      await changeRates(settingsToSend(form), view.version);
      await queries.invalidateQueries({ queryKey: ['catalogue'] });
      onDone('The shop’s settings are changed; what jobs cost is worked out anew.');
    } catch (error) {
      setFailed(
        error instanceof ApiError ? error.report.message : 'The server does not answer; what you typed is still here.',
      );
    } finally {
      setSending(false);
    }
  };
  const text = (field: TextField, label: string, unit: string) => (
    <SettingText
      label={label}
      unit={unit}
      value={form[field]}
      problem={wrong[field]}
      onType={(value) => setForm((old) => ({ ...old, [field]: value }))}
    />
  );
  const usual = operations.every((each) => form.colours[each] === usualColours[each]);
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (Object.keys(wrong).length === 0) void send();
      }}
    >
      <Part title="Money and waste">
        <div className="grid grid-cols-1 gap-x-6 sm:grid-cols-2">
          {text('currency', 'Money', 'its sign')}
          {text('labourPerHour', 'An hour of work', form.currency)}
          {text('energyPerKwh', 'A kilowatt hour', form.currency)}
          {text('kerfMm', 'Saw cut', 'mm')}
          {text('wastePercent', 'Lost of sheets', '%')}
        </div>
      </Part>
      <Part title="Colours in files for machines">
        <p className="mb-1 text-[13px] text-soft">
          Lines of SVG, DXF and PDF. Many machines choose what to do by the colour; every layer is named by what is done
          and how deep, too.
        </p>
        <div className="grid grid-cols-1 gap-x-6 sm:grid-cols-2">
          {operations.map((operation) => (
            <SettingColour
              key={operation}
              operation={operation}
              value={form.colours[operation]}
              onChoose={(colour) => setForm((old) => ({ ...old, colours: { ...old.colours, [operation]: colour } }))}
            />
          ))}
        </div>
        {!usual && (
          <Button look="quiet" onClick={() => setForm((old) => ({ ...old, colours: usualColours }))}>
            Back to the usual colours
          </Button>
        )}
      </Part>
      {failed !== null && (
        <p role="alert" className="mt-2 font-semibold text-signal">
          {failed}
        </p>
      )}
      <div className="flex justify-end border-t border-line pt-3">
        <Button type="submit" look="strong" disabled={sending || Object.keys(wrong).length > 0}>
          Keep these settings
        </Button>
      </div>
    </form>
  );
};

interface SettingsDialogProps {
  readonly onClose: () => void;
  readonly onDone: (told: string) => void;
}

/** What the shop reckons with, and how its files for machines are coloured. */
export const SettingsDialog = ({ onClose, onDone }: SettingsDialogProps) => {
  const { data, error } = useQuery({ queryKey: ['rates'], queryFn: getRates, staleTime: 0, gcTime: 0 });
  return (
    <SheetDialog open onClose={onClose} title="The shop’s settings" wide>
      {error !== null && <p role="alert">{error.message}</p>}
      {data !== undefined && <SettingsSheet view={data} onDone={onDone} />}
    </SheetDialog>
  );
};
