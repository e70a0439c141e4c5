import { set, type GrooveAssembly } from '@vitrum/core';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { NumberField } from '../../fields/design-fields';
import { TypedField } from '../../fields/typed-field';
import { Button } from '../../ui/button';
import { chooseLine } from './chosen-line';
import { withoutLine, type Drawn } from './line-edits';

/** The drawn line that is worked on: how far its corners are rounded, and away with it. */
export const LineFields = ({ drawn, chosen }: { readonly drawn: Drawn; readonly chosen: number }) => {
  const at = useFields<GrooveAssembly>().lines;
  const line = drawn.lines[chosen];
  if (line === undefined) return null;
  return (
    <>
      <NumberField
        label="Corners rounded"
        field={at.drawn.lines.at(chosen).roundMm}
        otherwise={0}
        unit="mm"
        hint={`line ${chosen + 1}: ${line.points.length / 2} points, ${line.closed ? 'closed' : 'open'}`}
      />
      <TypedField
        label="Layer"
        stored={line.layer ?? ''}
        save={(text) => changeDesign([set(at.drawn.lines.at(chosen).layer, text.trim())])[0]?.message ?? null}
        hint="lines of one layer may have strip and colour of their own"
      />
      {drawn.lines.length > 1 && (
        <Button
          onClick={() => {
            changeDesign([set(at.drawn, withoutLine(drawn, chosen))]);
            chooseLine(0);
          }}
        >
          Take line {chosen + 1} away
        </Button>
      )}
    </>
  );
};
