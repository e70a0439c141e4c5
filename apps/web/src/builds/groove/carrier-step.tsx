import { roomBehind, set, usualBack, type GrooveAssembly, type GrooveResults } from '@vitrum/core';
import { useId } from 'react';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { useOwnOf } from '../../evaluation/own';
import { ColourInput } from '../../fields/colour-field';
import { ChoiceField, LengthField, NumberField, useDesignValue } from '../../fields/design-fields';
import { aboutBoard } from '../../fields/material-facts';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { FieldRow } from '../../fields/field-row';
import { Button } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { useLength } from '../../view/use-length';
import { SeamFields } from './seam-fields';
import { ShapeFields } from './shape-fields';

const noCover = 'none';

const kinds = [
  { value: 'board', label: 'a routed board' },
  { value: 'two-layer', label: 'two layers, the upper cut through' },
  { value: 'clear', label: 'a clear sheet, from behind' },
  { value: 'letters', label: 'cut letters on a plate' },
] as const satisfies readonly { readonly value: GrooveAssembly['carrier']['kind']; readonly label: string }[];

/** The groove: what lies in it, and how wide and deep it is. */
const GrooveFields = ({ own }: { readonly own: GrooveResults | null }) => {
  const at = useFields<GrooveAssembly>();
  const { covers } = useCatalogue();
  const show = useLength();
  const kind = useDesignValue(at.carrier.kind);
  const groove = own?.geometry.groove;
  const [ownWidth, ownDepth] = [useDesignValue(at.groove.widthMm), useDesignValue(at.groove.depthMm)];
  const byHand = (ownWidth ?? null) !== null || (ownDepth ?? null) !== null;
  return (
    <>
      <h3 className="mt-3 font-bold">Groove</h3>
      {kind !== 'clear' && (
        <ChoiceField
          label="Over the strip"
          wide
          field={at.groove.coverId}
          otherwise={noCover}
          toStored={(choice) => (choice === noCover ? null : choice)}
          choices={[
            ...covers.map(({ id, name }) => ({ value: id, label: name })),
            { value: noCover, label: 'nothing: strip lies bare' },
          ]}
        />
      )}
      <ChoiceField
        label="Strip lies"
        field={at.groove.lies}
        choices={[
          { value: 'flat', label: 'flat on the floor' },
          { value: 'edge', label: 'on its edge' },
        ]}
      />
      <NumberField
        label="Clearance"
        field={at.groove.clearanceMm}
        unit="mm"
        step={0.05}
        hint={
          groove === undefined
            ? undefined
            : `over the widest in it: ${groove.holds[0]!.what}, ${show(groove.holds[0]!.mm)}`
        }
      />
      <LengthField
        label="Groove width"
        field={at.groove.widthMm}
        otherwise={groove?.wantedMm ?? 0}
        hint={groove === undefined ? undefined : `${show(groove.wantedMm)} by what lies in it`}
      />
      {kind !== 'two-layer' && (
        <LengthField
          label="Groove depth"
          field={at.groove.depthMm}
          otherwise={groove?.wantedDepthMm ?? 0}
          hint={
            own === null ? undefined : `${show(own.geometry.leftMm)} left ${kind === 'clear' ? 'in front' : 'under it'}`
          }
        />
      )}
      {byHand && (
        <Button onClick={() => void changeDesign([set(at.groove.widthMm, null), set(at.groove.depthMm, null)])}>
          As what lies in it wants
        </Button>
      )}
      {kind !== 'clear' && (
        <ChoiceField
          label="Its walls are"
          field={at.carrier.whiteGroove}
          otherwise="false"
          toStored={(choice) => choice === 'true'}
          choices={[
            { value: 'false', label: 'as they are cut' },
            { value: 'true', label: 'painted white' },
          ]}
          hint={own === null ? undefined : `${Math.round(100 * own.glow.way.out)} % of the light comes out`}
        />
      )}
    </>
  );
};

/** What the strip lies in: board, layers, clear sheet or letters; its outline; the groove. */
export const CarrierStep = () => {
  const at = useFields<GrooveAssembly>();
  const { boards, panes } = useCatalogue();
  const own = useOwnOf<GrooveResults>('groove');
  const show = useLength();
  const offWallMm = own === null ? 0 : roomBehind(own);
  const kind = useDesignValue(at.carrier.kind);
  const boardId = useDesignValue(at.carrier.boardId);
  const clearPanes = panes.filter(({ silver }) => silver === undefined);
  const sheets = boards.filter(({ form, stuff }) => form === 'sheet' && stuff !== 'printed' && stuff !== 'metal');
  const id = useId();
  const choose = (chosen: GrooveAssembly['carrier']['kind']): void => {
    const isPane = panes.some(({ id }) => id === boardId);
    const sheet =
      chosen === 'clear' && !isPane
        ? clearPanes.find(({ thicknessMm }) => thicknessMm >= 10)?.id
        : chosen !== 'clear' && isPane
          ? 'ply-18'
          : undefined;
    changeDesign([set(at.carrier.kind, chosen), ...(sheet === undefined ? [] : [set(at.carrier.boardId, sheet)])]);
  };
  return (
    <>
      <FieldRow id={id} label="Strip lies in">
        <Choice id={id} className="w-40" value={kind ?? 'board'} options={kinds} onChoose={choose} />
      </FieldRow>
      <ChoiceField
        label={kind === 'clear' ? 'Sheet' : 'Board'}
        wide
        field={at.carrier.boardId}
        choices={kind === 'clear' ? choicesOf(clearPanes) : choicesOf(sheets, aboutBoard)}
        hint={own === null ? undefined : `${show(own.geometry.outside.depthMm)} from the wall to the front`}
      />
      {(kind === 'two-layer' || kind === 'letters') && (
        <ChoiceField
          label={kind === 'letters' ? 'Plate' : 'Back layer'}
          wide
          field={at.carrier.backBoardId}
          otherwise={usualBack}
          choices={choicesOf(sheets, aboutBoard)}
        />
      )}
      {kind !== 'letters' && <ShapeFields />}
      <LengthField
        label="Off the wall"
        field={at.carrier.spacerMm}
        hint={
          own === null || offWallMm === own.assembly.carrier.spacerMm
            ? 'for wires and joints behind it'
            : `what it hangs by holds it ${show(offWallMm)} off`
        }
      />
      <ColourInput label="Front in" field={at.carrier.colour} />
      <GrooveFields own={own} />
      {kind !== 'letters' && <SeamFields />}
    </>
  );
};
