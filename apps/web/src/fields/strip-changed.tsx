import { stripDifferences } from '@vitrum/core';
import { useDocument } from '../document/document-store';
import { useChosenIndex } from '../document/selection';
import { useCatalogue } from '../job/catalogue-context';

/** The strip of the chosen assembly, now and when the job was opened; nothing of one that was not there then. */
const useStripIds = (): readonly [was: string | undefined, now: string | undefined] => {
  const index = useChosenIndex();
  const [was, now] = [useDocument((state) => state.opened), useDocument((state) => state.design)];
  const chosen = now?.assemblies[index];
  return [was?.assemblies.find(({ id }) => id === chosen?.id)?.light.stripId, chosen?.light.stripId];
};

/** What a strip that was changed since the job was opened takes along with it: what is bought or cut already may not fit any more. */
export const StripChanged = () => {
  const { strips } = useCatalogue();
  const [before, after] = useStripIds().map((id) => strips.find((strip) => strip.id === id));
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
          <li key={what} className="border-t border-line py-0.5">
            <span className="font-semibold">{what}</span>: {from} → {to}
            <span className="block text-xs text-soft">{follows}</span>
          </li>
        ))}
      </ul>
    </details>
  );
};
