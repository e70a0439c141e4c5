import { set, type GrooveAssembly } from '@vitrum/core';
import { changeDesign } from '../../document/document-store';
import { useFields } from '../../document/selection';
import { NumberField } from '../../fields/design-fields';
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
