import { setDesign } from '../document/document-store';
import { draftStore, letGo, type Draft } from '../document/journal';
import { Button } from '../ui/button';
import { SheetDialog } from '../ui/sheet-dialog';
import { useParts } from '../view/use-parts';
import { useKeptEdits } from './kept-edits-store';

const when = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeStyle: 'short' });

const without = (draft: Draft): void =>
  useKeptEdits.setState(({ drafts }) => ({ drafts: drafts.filter((each) => each !== draft) }));

const throwAway = (draft: Draft): void => {
  letGo(draftStore, draft);
  without(draft);
};

/** One step of undo; what was open before is among the revisions. */
const goOnWith = (draft: Draft): void => {
  setDesign(draft.design);
  throwAway(draft);
};

/** Several pages were closed before their edits were saved: the newest is open, the others are offered. */
export const KeptEdits = ({ jobId }: { readonly jobId: string }) => {
  const { drafts, jobId: of } = useParts(useKeptEdits, 'drafts', 'jobId');
  if (of !== jobId || drafts.length === 0) return null;
  return (
    <SheetDialog
      open
      onClose={() => useKeptEdits.setState({ drafts: [] })}
      title="Edits from other pages that were closed"
    >
      <p className="mb-3">
        This browser kept edits of this job that were not saved, from more than one page. The newest are open. Close
        this to leave the others where they are; they are offered again.
      </p>
      <ul>
        {drafts.map((draft) => (
          <li key={draft.page} className="flex flex-wrap items-center gap-2 border-t border-line py-2">
            <span className="flex-1">{draft.at === 0 ? 'of an earlier visit' : when.format(draft.at)}</span>
            <Button onClick={() => goOnWith(draft)}>Go on with these</Button>
            <Button look="quiet" onClick={() => throwAway(draft)}>
              Throw away
            </Button>
          </li>
        ))}
      </ul>
    </SheetDialog>
  );
};
