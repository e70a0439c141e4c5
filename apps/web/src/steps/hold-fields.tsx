import { useFields } from '../document/selection';
import { ChoiceField } from '../fields/design-fields';

/** How strip is held, and whether it was stuck before. */
export const HoldFields = () => {
  const at = useFields();
  return (
    <>
      <ChoiceField
        label="Held by"
        field={at.light.hold}
        otherwise="tape"
        choices={[
          { value: 'tape', label: 'its tape' },
          { value: 'clips', label: 'clips besides the tape' },
        ]}
      />
      <ChoiceField
        label="The strip is"
        field={at.light.secondHand}
        otherwise="false"
        toStored={(choice) => choice === 'true'}
        choices={[
          { value: 'false', label: 'new' },
          { value: 'true', label: 'second-hand' },
        ]}
      />
    </>
  );
};
