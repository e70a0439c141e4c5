import type { BaseDesign, EdgeLitAssembly, PanelResults } from '@vitrum/core';
import { useFields } from '../../document/selection';
import { useOwnOf } from '../../evaluation/own';
import { ChoiceField, LengthField, useDesignValue } from '../../fields/design-fields';
import { aboutBoard } from '../../fields/material-facts';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { useLength } from '../../view/use-length';

type InBase = EdgeLitAssembly & { readonly holder: BaseDesign };

/** A base that the sheet stands in. */
export const BaseFields = () => {
  const at = useFields<InBase>().holder;
  const { boards } = useCatalogue();
  const make = useDesignValue(at.make);
  const own = useOwnOf<PanelResults>('edge-lit');
  const show = useLength();
  const base = own?.geometry.holder.kind === 'base' ? own.geometry.holder : null;
  return (
    <>
      <ChoiceField
        label="Base is made"
        field={at.make}
        choices={[
          { value: 'wood', label: 'of wood' },
          { value: 'printed', label: 'printed' },
        ]}
      />
      {make === 'printed' ? (
        <LengthField label="Base height" field={at.heightMm} otherwise={32} />
      ) : (
        <ChoiceField
          label="Block"
          wide
          field={at.boardId}
          choices={choicesOf(
            boards.filter(({ uses }) => uses.includes('base')),
            aboutBoard,
          )}
        />
      )}
      <LengthField
        label="Front to rear"
        field={at.depthMm}
        hint={base === null ? undefined : `${show(base.lengthMm)} long, ${show(base.heightMm)} high`}
      />
      <LengthField label="Past the sheet" field={at.overhangMm} hint="on either side" />
      <LengthField
        label="Slot depth"
        field={at.slotMm}
        hint={
          base === null
            ? undefined
            : `${show(base.slot.widthMm)} wide; the cavity under it is ${show(base.cavity.highMm)} high`
        }
      />
      {make !== 'printed' && (
        <ChoiceField
          label="Lid"
          field={at.lidBoardId}
          choices={choicesOf(
            boards.filter(({ uses }) => uses.includes('back')),
            aboutBoard,
          )}
          hint={
            base === null
              ? undefined
              : `${show(base.closing.widthMm)} × ${show(base.closing.heightMm)}; a batten of ${show(base.battenMm)} lifts the strip`
          }
        />
      )}
      <LengthField label="Pocket" field={at.pocketMm} hint="length beside the strip, for a controller" />
      <ChoiceField
        label="Power comes by"
        field={at.exit}
        otherwise="lead"
        choices={[
          { value: 'lead', label: 'a lead' },
          { value: 'jack', label: 'a jack' },
        ]}
        hint={
          base === null ? undefined : `hole ${show(base.exit.diameterMm)}, ${show(base.exit.upMm)} above the underside`
        }
      />
    </>
  );
};
