import { useId } from 'react';
import { changeDesign } from '../../../document/document-store';
import { useDesignValue } from '../../../fields/design-fields';
import { FieldRow } from '../../../fields/field-row';

/** The colour that letters are finished in. */
export const LetterColour = ({ path }: { readonly path: string }) => {
  const id = useId();
  const colour = useDesignValue(path) as string;
  return (
    <FieldRow id={id} label="Finished in">
      <input
        id={id}
        type="color"
        className="h-8 w-36 rounded-[3px] border border-line bg-sheet"
        value={colour}
        onChange={(event) => void changeDesign([{ path, value: event.target.value }])}
      />
    </FieldRow>
  );
};
