import { CloudOff, Check, LoaderCircle, TriangleAlert } from 'lucide-react';
import { useDocument, type SaveState } from '../document/document-store';

const words = (save: SaveState, revision: number): string => {
  switch (save.kind) {
    case 'saved':
      return `revision ${revision}, saved`;
    case 'unsaved':
    case 'saving':
      return 'saving …';
    case 'away':
      return 'server away; your edits are kept here';
    case 'refused':
      return `not saved: ${save.message}`;
    case 'conflict':
      return 'saved elsewhere too; choose';
  }
};

/** How the page's design stands to the server's. */
export const SaveNote = () => {
  const save = useDocument((state) => state.save);
  const revision = useDocument((state) => state.revision);
  const bad = save.kind === 'away' || save.kind === 'refused' || save.kind === 'conflict';
  const Icon = save.kind === 'saved' ? Check : save.kind === 'away' ? CloudOff : bad ? TriangleAlert : LoaderCircle;
  return (
    <span
      role="status"
      data-save={save.kind}
      className={`flex min-w-0 items-center gap-1 text-[13px] ${bad ? 'font-semibold text-signal' : 'text-soft'}`}
    >
      <Icon size={14} aria-hidden className="shrink-0" />
      <span className="truncate">{words(save, revision)}</span>
    </span>
  );
};
