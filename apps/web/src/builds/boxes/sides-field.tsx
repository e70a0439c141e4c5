import { boxSides, set, timesAlong, passesOf, type BoxSide, type BoxAssembly } from '@vitrum/core';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { useDesignValue } from '../../fields/design-fields';
import { FieldRow } from '../../fields/field-row';
import { Choice } from '../../ui/choice';
import { sidesWith } from './side-edits';

const often = ['none', 'once', 'twice', 'three times', 'four times'] as const;

/** How often strip runs along each side of the case. */
export const SidesField = () => {
  const at = useFields<BoxAssembly>();
  const sides = useDesignValue(at.light.sides) as readonly BoxSide[] | undefined;
  const times = timesAlong(passesOf({ sides, turnCount: 1 }));
  const change = (side: BoxSide, count: number): void => {
    const next = sidesWith(sides, side, count);
    if (next === null) return;
    void changeDesign([set(at.light.sides, next)]);
  };
  return (
    <>
      {boxSides.map((side) => (
        <FieldRow key={side} id={`side-${side}`} label={`Along the ${side}`}>
          <Choice
            id={`side-${side}`}
            className="w-40"
            value={times[side]}
            options={often.map((label, value) => ({ value, label }))}
            onChoose={(count) => change(side, count)}
          />
        </FieldRow>
      ))}
    </>
  );
};
