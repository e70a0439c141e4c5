import { fieldValue, stripDifferences, type FieldRef } from '@vitrum/core';
import { useDocument } from '../document/document-store';
import { useCatalogue } from '../job/catalogue-context';
import { useDesignValue } from './design-fields';

/** What a strip that was changed since the job was opened takes along with it: what is bought or cut already may not fit any more. */
export const StripChanged = ({ field }: { readonly field: FieldRef<string> }) => {
  const { strips } = useCatalogue();
  const opened = useDocument((state) => state.opened);
  const now = useDesignValue(field);
  const was = fieldValue(opened, field);
  const [before, after] = [was, now].map((id) => strips.find((strip) => strip.id === id));
  if (before === undefined || after === undefined || before.id === after.id) return null;
  const differences = stripDifferences(before, after);
  if (differences.length === 0) return null;
  return (
    <details className="my-1 border-l-4 border-line pl-2 text-[13px]">
      <summary className="cursor-pointer">
        Another strip than when the job was opened:{' '}
        {differences
          .slice(0, 3)
          .map(({ what }) => what)
          .join(', ')}
        {differences.length > 3 ? ` and ${differences.length - 3} more` : ''}
      </summary>
      <p className="text-soft">Instead of {before.name}. What is cut, bought or soldered already has to follow:</p>
      <ul>
        {differences.map(({ what, before: from, after: to, follows }) => (
          <li key={what}>
            {what} <span className="figure">{from}</span> → <span className="figure">{to}</span>: {follows}
          </li>
        ))}
      </ul>
    </details>
  );
};
