import { set, type LayersAssembly } from '@vitrum/core';
import { useId } from 'react';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { ChoiceField, LengthField, useDesignValue } from '../../fields/design-fields';
import { FieldRow } from '../../fields/field-row';
import { Choice } from '../../ui/choice';
import { CaseRuns, LightStep } from '../boxes/light-step';
import type { Sheets } from './sheet-edits';

const inCase = 'in-the-case';
/** Hidden from aside where the sheet stands two or three centimetres before what it lights (mm). */
const usualSetbackMm = 8;
const none: Sheets = [];

/** Strip of a scene: in its case as in any other, or hidden behind the overlap of a sheet. */
export const SceneLightStep = () => {
  const at = useFields<LayersAssembly>();
  const id = useId();
  const sheets = useDesignValue(at.scene.sheets) ?? none;
  const behind = useDesignValue(at.scene.stripBehind) ?? null;
  return (
    <LightStep>
      <FieldRow id={id} label="Strip lies" below>
        <Choice
          id={id}
          className="w-full"
          value={behind?.sheetId ?? inCase}
          options={[
            { value: inCase, label: 'in the box: round the rim, or in rows' },
            // A whole sheet has no edge within the box.
            ...[...sheets]
              .reverse()
              .filter(({ shape, id: sheetId }) => shape !== 'whole' || sheetId === behind?.sheetId)
              .map(({ id: sheetId, name }) => ({ value: sheetId, label: `behind the edges of ${name}` })),
          ]}
          onChoose={(chosen) =>
            void changeDesign([
              set(
                at.scene.stripBehind,
                chosen === inCase
                  ? null
                  : { setbackMm: usualSetbackMm, looks: 'back' as const, ...behind, sheetId: chosen },
              ),
            ])
          }
        />
      </FieldRow>
      {behind === null ? (
        <CaseRuns />
      ) : (
        <>
          <ChoiceField
            label="Stuck on"
            field={at.scene.stripBehind.looks}
            choices={[
              { value: 'back', label: 'the sheet’s rear, to the back' },
              { value: 'front', label: 'the back, to the front' },
            ]}
          />
          <LengthField
            label="In from the edge"
            field={at.scene.stripBehind.setbackMm}
            hint="of the sheet, to the near side of the strip"
          />
        </>
      )}
    </LightStep>
  );
};
