import type { SetUp } from '@vitrum/core';
import { useLength } from '../../view/use-length';
import { SetUpDrawing } from './set-up-drawing';
import { setUpNumbers } from './set-up-numbers';

interface SetUpCardProps {
  readonly setUp: SetUp;
  readonly number: number;
}

/** One setting of saw or router table: section, what is set, whose, and the test piece. */
export const SetUpCard = ({ setUp, number }: SetUpCardProps) => {
  const show = useLength();
  return (
    <li className="flex w-[276px] shrink-0 flex-col border-r border-line pr-4 last:border-r-0 print:w-full print:border-0">
      <h4 className="font-bold">
        <span className="figure pr-1.5">{number}</span>
        {setUp.title}
      </h4>
      <p className="text-xs text-soft">
        {setUp.cutter.name}; {setUp.members.join(', ')}; {setUp.down} down
      </p>
      <div className="min-h-[76px] flex-1 py-1">
        <SetUpDrawing setUp={setUp} />
      </div>
      <dl className="grid grid-cols-[auto_1fr] gap-x-3 text-[13px]">
        {setUpNumbers(setUp, show).map(([label, value]) => (
          <div key={label} className="contents">
            <dt className="text-soft">{label}</dt>
            <dd className="figure text-right font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
      {setUp.test !== null && (
        <p className="mt-1 text-xs text-soft">
          {setUp.test.what} {setUp.test.measures.map(({ label, mm }) => `${label} ${show(mm)}`).join(', ')}.
        </p>
      )}
    </li>
  );
};
