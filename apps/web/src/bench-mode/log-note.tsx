import { CloudOff } from 'lucide-react';
import { useStore } from 'zustand';
import { benchLog } from '../bench-log';
import { Button } from '../ui/button';

/** What of the bench log the server does not have yet, and what it would not take. */
export const LogNote = () => {
  const waiting = useStore(benchLog.store, (state) => state.waiting.length);
  const away = useStore(benchLog.store, (state) => state.away);
  const unkept = useStore(benchLog.store, (state) => state.unkept);
  if (waiting === 0 || !away) return null;
  return (
    <span
      role="status"
      className="flex max-w-40 shrink-0 items-center gap-1 text-[13px] leading-tight font-semibold text-signal"
    >
      <CloudOff size={14} aria-hidden className="shrink-0" />
      {waiting} {waiting === 1 ? 'note waits' : 'notes wait'} here{unkept ? ': keep this page open' : ''}
    </span>
  );
};

/** Entries that the server would not take, each with the reason. */
export const Refused = () => {
  const refused = useStore(benchLog.store, (state) => state.refused);
  if (refused.length === 0) return null;
  return (
    <ul role="alert" className="border-l-4 border-signal bg-sheet px-3 py-1.5">
      {refused.map(({ entry, why }) => (
        <li key={entry.id} className="flex flex-wrap items-center gap-2">
          “{entry.words === '' ? entry.what : entry.words}” was not taken: {why}
          <Button onClick={() => benchLog.leaveOut(entry.id)}>Leave it out</Button>
        </li>
      ))}
    </ul>
  );
};
