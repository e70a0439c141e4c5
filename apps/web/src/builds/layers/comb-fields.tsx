import { set, type LayersAssembly, type LayersResults } from '@vitrum/core';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { useOwnOf } from '../../evaluation/own';
import { ChoiceField, LengthField, NumberField, useDesignValue } from '../../fields/design-fields';
import { aboutBoard } from '../../fields/material-facts';
import { FieldRow } from '../../fields/field-row';
import { Choice } from '../../ui/choice';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { useId } from 'react';

/** Low enough that a usual border hides them from aside (mm). */
const usualHighMm = 16;
/** Share of the width from the sides in. */
const usualInset = 0.2;

/** What holds a sheet: spacers, or combs, which the box gets with the first sheet in them. */
export const HeldField = ({ index }: { readonly index: number }) => {
  const at = useFields<LayersAssembly>();
  const id = useId();
  const own = useOwnOf<LayersResults>('layers');
  const sheet = at.scene.sheets.at(index);
  const held = useDesignValue(sheet.held) ?? 'spacers';
  const materialId = useDesignValue(sheet.materialId) ?? 'ply-3';
  const combs = useDesignValue(at.scene.combs) ?? null;
  return (
    <FieldRow id={id} label="Held by">
      <Choice
        id={id}
        className="w-40"
        value={held}
        options={[
          { value: 'spacers', label: 'spacers' },
          { value: 'combs', label: 'combs on the floor' },
        ]}
        onChoose={(chosen) =>
          void changeDesign([
            ...(chosen === 'combs' && combs === null
              ? [
                  set(at.scene.combs, {
                    materialId,
                    highMm: usualHighMm,
                    insetMm: Math.round(usualInset * (own?.geometry.inside.widthMm ?? 500)),
                  }),
                ]
              : []),
            set(sheet.held, chosen),
          ])
        }
      />
    </FieldRow>
  );
};

/** The combs on the floor that sheets are slotted into; nothing where no sheet stands in them. */
export const CombFields = () => {
  const at = useFields<LayersAssembly>().scene;
  const own = useOwnOf<LayersResults>('layers');
  const { boards } = useCatalogue();
  const combs = useDesignValue(at.combs) ?? null;
  const sheets = useDesignValue(at.sheets) ?? [];
  if (combs === null || sheets.every(({ held }) => held !== 'combs')) return null;
  const stood = own?.scene.combs ?? null;
  const slots = stood?.each[0]?.holds.length ?? 0;
  return (
    <section aria-label="Combs" className="mt-2 border-t border-line pt-2">
      <h3 className="font-bold">Combs on the floor</h3>
      <p className="text-[13px] text-soft">
        Two, from the back to the front; sheets and combs are slotted into each other, half and half
        {slots > 0 ? `: ${slots} ${slots === 1 ? 'slot' : 'slots'} each` : ''}.
      </p>
      <ChoiceField
        label="Combs from"
        field={at.combs.materialId}
        choices={choicesOf(
          boards.filter(({ uses }) => uses.includes('sheet')),
          aboutBoard,
        )}
      />
      <LengthField label="Combs, high" field={at.combs.highMm} hint="lower than the border before them" />
      <LengthField label="In from the sides" field={at.combs.insetMm} hint="to the middle of each" />
      <NumberField
        label="Slots narrower by"
        field={at.combs.overMm}
        unit="mm"
        step={0.05}
        optional
        hint={`than what goes into them; empty: as is usual${stood === null ? '' : ` (${stood.overMm.toFixed(2)} mm)`}; negative is loose`}
      />
    </section>
  );
};
