import { segmentTests, type Evaluation, type SegmentTest } from '@vitrum/core';
import { useDocument } from '../document/document-store';
import { Tick } from '../ui/tick';
import { tickTest } from './readings';

const words = ({ time, channel }: SegmentTest): string => (time === 'closed' ? 'once more' : (channel ?? 'lights'));

/** Every segment, colour by colour, ticked before it is stuck down and once more before it hangs. */
export const SegmentTicks = ({ evaluation }: { readonly evaluation: Evaluation }) => {
  // From the document itself: a tick shows at once, whatever is still being evaluated.
  const proof = useDocument((state) => state.design?.proof);
  const ticked = new Set(proof?.ticked ?? []);
  const tests = segmentTests(evaluation);
  const segments = [...new Set(tests.map(({ segment }) => segment))];
  const done = tests.filter(({ key }) => ticked.has(key)).length;
  return (
    <details className="my-2" open={done > 0 && done < tests.length}>
      <summary className="cursor-pointer font-bold">
        Segment by segment{' '}
        <span className="figure text-[13px] font-normal text-soft">
          {done} of {tests.length} ticked
        </span>
      </summary>
      <p className="text-[13px] text-soft">
        Light each one alone before its backing comes off, pure colours one after the other, and press its joints; all
        of it once more before the sign is closed and hung.
      </p>
      <ul className="text-[13px]">
        {segments.map((segment) => (
          <li key={segment} className="flex flex-wrap items-center gap-x-2.5 border-b border-line py-0.5">
            <span className="figure w-6 font-semibold">{segment}</span>
            {tests
              .filter((test) => test.segment === segment)
              .map((test) => (
                <Tick
                  key={test.key}
                  on={ticked.has(test.key)}
                  label={`Segment ${segment}: ${words(test)}`}
                  onChange={(on) => tickTest(test.key, on)}
                >
                  {words(test)}
                </Tick>
              ))}
          </li>
        ))}
      </ul>
    </details>
  );
};
