import { formatLength, parseLength, sweepSize, type Catalogue, type FaceOption, type SweepAxes } from '@vitrum/core';
import type { ReactNode } from 'react';
import { TypedField } from '../fields/typed-field';
import { useView } from '../view/view-store';
import { stepsBetween } from './chart-points';
import { Tick } from '../ui/tick';

/** What the form holds; a plan follows from it. */
export interface PlanDraft {
  readonly fromMm: number;
  readonly toMm: number;
  readonly stepMm: number;
  readonly fewestRows: number;
  readonly mostRows: number;
  readonly faces: readonly string[];
  readonly linings: readonly string[];
}

/** The assembly that is tried, and what of the catalogue may be tried on it. */
export interface PlanOptions {
  readonly assembly: number;
  readonly faces: readonly FaceOption[];
  readonly linings: Catalogue['linings'];
}

/** The plan of a draft. */
export const planOf = (draft: PlanDraft, { assembly, faces }: PlanOptions): SweepAxes => ({
  assembly,
  depthsMm: stepsBetween(draft.fromMm, draft.toMm, draft.stepMm),
  rowCounts: stepsBetween(draft.fewestRows, draft.mostRows, 1),
  faces: faces.filter(({ name }) => draft.faces.includes(name)),
  liningIds: draft.linings,
});

interface PlanFormProps {
  readonly draft: PlanDraft;
  readonly options: PlanOptions;
  readonly rowsWord: string;
  readonly onChange: (draft: PlanDraft) => void;
}

const Ticks = ({ legend, children }: { readonly legend: string; readonly children: ReactNode }) => (
  <fieldset className="mt-2">
    <legend className="font-bold">{legend}</legend>
    {children}
  </fieldset>
);

const toggled = (list: readonly string[], item: string, on: boolean): readonly string[] =>
  on ? [...list, item] : list.filter((other) => other !== item);

/** What to try: depths, rows, faces, linings. */
export const PlanForm = ({ draft, options, rowsWord, onChange }: PlanFormProps) => {
  const unit = useView((view) => view.unit);
  const length = (label: string, key: 'fromMm' | 'toMm' | 'stepMm') => (
    <TypedField
      label={label}
      stored={formatLength(draft[key], unit)}
      save={(text) => {
        const parsed = parseLength(text, unit);
        if (!parsed.ok) return parsed.problems[0]?.message ?? 'not a length';
        if (!(parsed.value > 0)) return 'must be above 0';
        onChange({ ...draft, [key]: parsed.value });
        return null;
      }}
    />
  );
  const count = (label: string, key: 'fewestRows' | 'mostRows') => (
    <TypedField
      label={label}
      stored={String(draft[key])}
      inputMode="numeric"
      save={(text) => {
        const value = Number(text);
        if (!Number.isInteger(value) || value < 1 || value > 60) return 'a whole number from 1 to 60';
        onChange({ ...draft, [key]: value });
        return null;
      }}
    />
  );
  const size = sweepSize(planOf(draft, options));
  return (
    <>
      {length('Depth from', 'fromMm')}
      {length('Depth to', 'toMm')}
      {length('Step', 'stepMm')}
      {count(`${rowsWord} from`, 'fewestRows')}
      {count(`${rowsWord} to`, 'mostRows')}
      <Ticks legend="Faces">
        {options.faces.map(({ name }) => (
          <Tick
            key={name}
            on={draft.faces.includes(name)}
            onChange={(on) => onChange({ ...draft, faces: toggled(draft.faces, name, on) })}
          >
            {name}
          </Tick>
        ))}
      </Ticks>
      <Ticks legend="Linings">
        {options.linings.map(({ id, name }) => (
          <Tick
            key={id}
            on={draft.linings.includes(id)}
            onChange={(on) => onChange({ ...draft, linings: toggled(draft.linings, id, on) })}
          >
            {name}
          </Tick>
        ))}
      </Ticks>
      <p className="figure mt-1 text-xs text-soft">{size} combinations</p>
    </>
  );
};
