import { useInfiniteQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { getEntries } from '../api/stock';
import { Button } from '../ui/button';
import { amountWords } from './amount-words';

const words: Readonly<Record<string, string>> = {
  bought: 'came in',
  counted: 'counted',
  used: 'used',
  returned: 'came back',
  scrapped: 'spoilt',
  opened: 'opened',
  parted: 'cut off',
  claimed: 'kept for the job',
  released: 'no longer kept',
};

const atATime = 100;

const twoDigits = (value: number): string => `${value}`.padStart(2, '0');

/** A time as the clock on the wall shows it. */
const localTime = (at: string): string => {
  const time = new Date(at);
  const day = [time.getFullYear(), time.getMonth() + 1, time.getDate()].map(twoDigits).join('-');
  return `${day} ${twoDigits(time.getHours())}:${twoDigits(time.getMinutes())}`;
};

/** What became of stock, the latest first; no entry is ever changed. */
export const Ledger = () => {
  const { data, error, hasNextPage, fetchNextPage, isFetchingNextPage } = useInfiniteQuery({
    queryKey: ['stock', 'entries'],
    queryFn: ({ pageParam }) => getEntries(pageParam),
    initialPageParam: null as number | null,
    getNextPageParam: (last) => (last.length < atATime ? undefined : last.at(-1)?.seq),
    staleTime: 0,
  });
  if (error !== null) return <p role="alert">{error.message}</p>;
  const entries = data?.pages.flat() ?? [];
  if (data !== undefined && entries.length === 0) return <p>Nothing has been entered yet.</p>;
  return (
    <>
      <table className="w-full text-[13px]">
        <thead>
          <tr className="border-b border-ink text-left text-xs text-soft">
            <th className="py-1">when</th>
            <th>what</th>
            <th>of</th>
            <th className="text-right">by</th>
            <th className="pl-4">job</th>
            <th>note</th>
          </tr>
        </thead>
        <tbody>
          {entries.map((entry) => (
            <tr key={entry.seq} className="border-b border-line">
              <td className="figure py-1">{localTime(entry.at)}</td>
              <td>{words[entry.what] ?? entry.what}</td>
              <td className="font-semibold">{entry.name}</td>
              <td className="figure text-right">
                {entry.delta === 0
                  ? ''
                  : `${entry.delta > 0 ? '+' : '−'}${amountWords(Math.abs(entry.delta), entry.unit)}`}
              </td>
              <td className="pl-4">
                {entry.jobId !== null && (
                  <Link to={`/jobs/${entry.jobId}`} className="underline">
                    {entry.jobName}
                  </Link>
                )}
              </td>
              <td className="text-soft">{entry.note}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {hasNextPage && (
        <Button className="mt-2" disabled={isFetchingNextPage} onClick={() => void fetchNextPage()}>
          Older entries
        </Button>
      )}
    </>
  );
};
