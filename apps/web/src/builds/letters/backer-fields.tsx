import { set, type BackerDesign, type LetterAssembly } from '@vitrum/core';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { ChoiceField, LengthField, useDesignValue } from '../../fields/design-fields';
import { aboutBoard } from '../../fields/material-facts';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { Button } from '../../ui/button';

const first: BackerDesign = { kind: 'board', boardId: 'ply-12', marginMm: 60 };

/** A board or a clad box that letters stand on, so that they hang in one piece. */
export const BackerFields = () => {
  const at = useFields<LetterAssembly>();
  const { boards } = useCatalogue();
  const backer = useDesignValue(at.backer) ?? null;
  if (backer === null)
    return (
      <Button
        className="my-1"
        onClick={() => void changeDesign([set(at.backer, first), set(at.hanging, { way: 'spacers' })])}
      >
        Set them on a backer
      </Button>
    );
  const field = at.backer;
  const box = backer.kind === 'box';
  return (
    <section aria-label="Backer" className="my-2 border-l-4 border-line pl-2">
      <div className="flex items-center justify-between">
        <h3 className="font-bold">{box ? 'Clad box behind them' : 'Backer behind them'}</h3>
        <Button onClick={() => void changeDesign([set(field, null), set(at.hanging, null)])}>Take it away</Button>
      </div>
      <ChoiceField
        label="They stand on"
        field={field.kind}
        choices={[
          { value: 'board', label: 'a board' },
          { value: 'box', label: 'a clad box' },
        ]}
      />
      <ChoiceField
        label={box ? 'Cladding' : 'Board'}
        field={field.boardId}
        wide
        choices={choicesOf(boards, aboutBoard)}
      />
      <LengthField label="Margin round them" field={field.marginMm} />
      {!box && <LengthField label="Corners, radius" field={field.cornerMm} />}
      {box && (
        <>
          <LengthField label="Box, deep" field={field.depthMm} otherwise={40} hint="behind its cladding" />
          <LengthField label="Cladding, over" field={field.overMm} hint="cut larger than its box, all round" />
          <ChoiceField
            label="Trimmed flush"
            field={field.trimmed}
            otherwise="false"
            toStored={(choice) => choice === 'true'}
            choices={[
              { value: 'false', label: 'no' },
              { value: 'true', label: 'once glued on' },
            ]}
          />
        </>
      )}
    </section>
  );
};
