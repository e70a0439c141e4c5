import {
  capital,
  finishSystems,
  gluesFor,
  set,
  waitWords,
  type FinishedSurface,
  type FinishingDesign,
  type GluedBond,
  type Layer,
} from '@vitrum/core';
import { useId } from 'react';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { useOwn } from '../../evaluation/own';
import { FieldRow } from '../../fields/field-row';
import { TypedField } from '../../fields/typed-field';
import { useDesignValue } from '../../fields/design-fields';
import { useCatalogue } from '../../job/catalogue-context';
import { Choice } from '../../ui/choice';

type Change = (own: Partial<FinishingDesign>) => void;

const alike = (one: readonly Layer[], other: readonly Layer[]): boolean =>
  one.length === other.length &&
  one.every(({ paintId, coats }, at) => other[at]!.paintId === paintId && other[at]!.coats === coats);

/** The coats of a surface, and what they come to. */
const SurfaceField = ({
  surface,
  finishing,
  change,
}: {
  readonly surface: FinishedSurface;
  readonly finishing: FinishingDesign | undefined;
  readonly change: Change;
}) => {
  const id = useId();
  const layers = surface.layers.map(({ paint, coats }): Layer => ({ paintId: paint.id, coats }));
  const known = finishSystems.find((system) => alike(system.layers, layers));
  const litres = surface.layers.reduce((sum, each) => sum + each.litres, 0);
  const wait = surface.layers.reduce((sum, each) => sum + each.waitMin, 0);
  const others = (finishing?.coats ?? []).filter((each) => each.surface !== surface.id);
  const hint =
    layers.length === 0
      ? `${surface.m2.toFixed(2)} m², ${surface.comesFinished ? 'bought in its colour' : 'nothing laid on it'}`
      : `${surface.m2.toFixed(2)} m², ${litres.toFixed(2)} L, dries ${waitWords(wait)} in all`;
  if (surface.fixed !== null)
    return (
      <p className="border-b border-line py-1 text-[13px]">
        {capital(surface.name)}: by its lining <span className="text-soft">({hint})</span>
      </p>
    );
  return (
    <FieldRow id={id} label={capital(surface.name)} hint={hint} below>
      <Choice
        id={id}
        className="w-full"
        value={known?.id ?? 'own'}
        options={[
          ...(known === undefined ? [{ value: 'own', label: 'as the design has it' }] : []),
          ...finishSystems.map(({ id: system, name }) => ({ value: system, label: capital(name) })),
        ]}
        onChoose={(system) =>
          change({
            coats: [
              ...others,
              { surface: surface.id, layers: finishSystems.find((each) => each.id === system)?.layers ?? layers },
            ],
          })
        }
      />
    </FieldRow>
  );
};

/** The glue of a joint, and how long it takes. */
const BondField = ({
  bond,
  finishing,
  change,
}: {
  readonly bond: GluedBond;
  readonly finishing: FinishingDesign | undefined;
  readonly change: Change;
}) => {
  const id = useId();
  const catalogue = useCatalogue();
  const fit = gluesFor(bond.between, bond.fine, catalogue);
  const others = (finishing?.glues ?? []).filter((each) => each.bond !== bond.id);
  const { glue } = bond;
  const shown = glue !== null && !fit.includes(glue) ? [glue, ...fit] : fit;
  return (
    <FieldRow
      id={id}
      label={`Glue, ${bond.what}`}
      below
      hint={
        glue === null
          ? 'nothing on the shelf holds both'
          : `${Math.ceil(bond.ml)} ml; within ${waitWords(glue.openMin)}, held ${waitWords(glue.clampMin)}, loaded after ${waitWords(glue.cureMin)}`
      }
    >
      <Choice
        id={id}
        className="w-full"
        value={glue?.id ?? ''}
        options={shown.map((each) => ({ value: each.id, label: each.name }))}
        onChoose={(glueId) => change({ glues: [...others, { bond: bond.id, glueId }] })}
      />
    </FieldRow>
  );
};

/** What a number of minutes is typed as: 45, 8 h, 2 d. */
const minutesOf = (text: string): number | null => {
  const found = /^\s*([\d.,]+)\s*(min|h|d|days?)?\s*$/.exec(text);
  if (found === null) return null;
  const value = Number(found[1]!.replace(',', '.'));
  const unit = found[2] ?? 'min';
  return Number.isFinite(value) ? value * (unit === 'min' ? 1 : unit === 'h' ? 60 : 1440) : null;
};

/** Paint and glue of the chosen assembly. */
export const FinishFields = () => {
  const own = useOwn();
  const field = useFields().finishing;
  const finishing = useDesignValue(field);
  if (own === null) return null;
  const { surfaces, bonds, betweenCoatsMin } = own.finishing;
  const change: Change = (part) => void changeDesign([set(field, { ...finishing, ...part })]);
  const slowest = Math.max(0, ...surfaces.flatMap(({ layers }) => layers.map(({ paint }) => paint.recoatMin)));
  return (
    <section aria-label="Paint and glue" className="mt-3 border-t border-line pt-2">
      <h3 className="font-bold">Paint and glue</h3>
      {surfaces.map((surface) => (
        <SurfaceField key={surface.id} surface={surface} finishing={finishing} change={change} />
      ))}
      {slowest > 0 && (
        <TypedField
          label="Between coats"
          stored={betweenCoatsMin === null ? 'as needed' : waitWords(betweenCoatsMin)}
          hint={`the slowest wants ${waitWords(slowest)}`}
          save={(text) => {
            if (text.trim() === '' || /needed/.test(text)) {
              change({ betweenCoatsMin: undefined });
              return null;
            }
            const minutes = minutesOf(text);
            if (minutes === null) return 'type a time: 45 min, 8 h, 2 d';
            change({ betweenCoatsMin: minutes });
            return null;
          }}
        />
      )}
      {bonds.map((bond) => (
        <BondField key={bond.id} bond={bond} finishing={finishing} change={change} />
      ))}
    </section>
  );
};
