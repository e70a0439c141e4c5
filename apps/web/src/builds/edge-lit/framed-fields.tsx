import type { EdgeLitAssembly, FrameDesign, PanelResults, TopDesign } from '@vitrum/core';
import { useFields } from '../../document/selection';
import { useOwnOf } from '../../evaluation/own';
import { ChoiceField, LengthField, useDesignValue } from '../../fields/design-fields';
import { aboutBoard } from '../../fields/material-facts';
import { choicesOf, useCatalogue } from '../../job/catalogue-context';
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
    </>
  );
};
