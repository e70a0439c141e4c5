import {
  restOfReel,
  set,
  type EdgeLitAssembly,
  type FrameDesign,
  type PanelResults,
  type TopDesign,
} from '@vitrum/core';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { useOwnOf } from '../../evaluation/own';
import { ChoiceField, LengthField, useDesignValue } from '../../fields/design-fields';
import { aboutBoard } from '../../fields/material-facts';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
import { Button } from '../../ui/button';
import { useLength } from '../../view/use-length';

type InFrame = EdgeLitAssembly & { readonly holder: FrameDesign };
type InCase = EdgeLitAssembly & { readonly holder: TopDesign };

/** A frame round the sheet, or the case that it is the top of. */
export const FramedFields = () => {
  const at = useFields<InFrame>().holder;
  const inCase = useFields<InCase>().holder;
  const { boards } = useCatalogue();
  const kind = useDesignValue<string>(at.kind);
  const own = useOwnOf<PanelResults>('edge-lit');
  const show = useLength();
  const framed = own === null || own.geometry.holder.kind === 'base' ? null : own.geometry.holder;
  return (
    <>
      <ChoiceField
        label="Members"
        field={at.boardId}
        choices={choicesOf(
          boards.filter(({ uses }) => uses.includes('return')),
          aboutBoard,
        )}
        hint={
          framed === null ? undefined : `outside ${show(framed.outside.widthMm)} × ${show(framed.outside.heightMm)}`
        }
      />
      <ChoiceField
        label="Corners"
        field={at.joint}
        choices={[
          { value: 'pocket-screws', label: 'butted, pocket screws' },
          { value: 'butt', label: 'butted, screwed' },
          { value: 'rabbet', label: 'rabbeted, screwed' },
          { value: 'dowels', label: 'butted, dowelled' },
          { value: 'mitre', label: 'mitred, glued' },
          { value: 'mitre-spline', label: 'mitred, with splines' },
          { value: 'mitre-tenon', label: 'mitred, loose tenons' },
        ]}
      />
      <LengthField label="Front to rear" field={at.depthMm} />
      {kind === 'frame' && <LengthField label="Lip in front" field={at.lipMm} />}
      <LengthField
        label="Seat depth"
        field={at.seatMm}
        hint={
          framed === null
            ? undefined
            : `the strip’s groove under it: ${show(framed.grooveWideMm)} wide, ${show(framed.grooveMm)} deep`
        }
      />
      {kind === 'top' && (
        <ChoiceField
          label="Bottom"
          field={inCase.bottomBoardId}
          choices={choicesOf(
            boards.filter(({ uses }) => uses.includes('back')),
            aboutBoard,
          )}
        />
      )}
      {kind === 'top' && <UnderField own={own} />}
    </>
  );
};

/** Strip under the case: so much, or the rest of the reel at a click. */
const UnderField = ({ own }: { readonly own: PanelResults | null }) => {
  const field = useFields<InCase>().holder.underMm;
  const under = useDesignValue(field) ?? 0;
  const show = useLength();
  const rest = own === null ? 0 : restOfReel(own);
  return (
    <>
      <LengthField label="Strip underneath" field={field} hint="shines down from under the case" />
      {rest > 0 && Math.abs(rest - under) > 1 && (
        <p className="my-1 flex items-center justify-between gap-2 text-[13px] text-soft">
          {show(rest)} of the reel are left
          <Button onClick={() => void changeDesign([set(field, rest)])}>Lay them underneath</Button>
        </p>
      )}
    </>
  );
};
