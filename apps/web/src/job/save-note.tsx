import { CloudOff, Check, LoaderCircle, TriangleAlert } from 'lucide-react';
import { useDocument, type SaveState } from '../document/document-store';
import type { Keeping } from '../document/journal';

const words = (save: SaveState, keeping: Keeping, revision: number): string => {
  switch (save.kind) {
    case 'saved':
      return `revision ${revision}, saved`;
    case 'unsaved':
    case 'saving':
      return 'saving …';
    case 'away':
      return keeping === 'failed' ? 'server away: keep this page open' : 'server away, edits kept here';
    case 'refused':
      return `not saved: ${save.message}`;
    case 'conflict':
      return 'saved elsewhere too; choose';
  }
};

/** The same at length, for whoever points at it. */
const atLength = (save: SaveState, keeping: Keeping): string | undefined => {
  if (save.kind !== 'away') return undefined;
  return keeping === 'failed'
    ? 'The server does not answer, and this browser keeps nothing: your edits are in this page alone. They are saved once the server is back.'
    : 'The server does not answer. Your edits are kept in this browser, and saved once it is back.';
};

/** How the page's design stands to the server's. */
export const SaveNote = () => {
  const save = useDocument((state) => state.save);
  const revision = useDocument((state) => state.revision);
  const keeping = useDocument((state) => state.keeping);
  const bad = save.kind === 'away' || save.kind === 'refused' || save.kind === 'conflict';
  const Icon = save.kind === 'saved' ? Check : save.kind === 'away' ? CloudOff : bad ? TriangleAlert : LoaderCircle;
  return (
    <span
      role="status"
      data-save={save.kind}
      title={atLength(save, keeping)}
      // What is wrong is never cut off: the name beside it is.
      className={`flex items-center gap-1 text-[13px] ${bad ? 'max-w-32 shrink-0 leading-tight xl:max-w-40 font-semibold text-signal' : 'min-w-0 text-soft'}`}
    >
      <Icon size={14} aria-hidden className="shrink-0" />
      <span className={bad ? 'line-clamp-2' : 'truncate'}>{words(save, keeping, revision)}</span>
    </span>
  );
};
