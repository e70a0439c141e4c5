import { useDocument } from '../document/document-store';
import { settleConflict } from '../document/autosave';
import { journal } from '../document/journal';
import { Button } from '../ui/button';
import { SheetDialog } from '../ui/sheet-dialog';

/** Somebody saved this job in the meantime: both versions are on the server; one goes on. */
export const ConflictDialog = () => {
  const save = useDocument((state) => state.save);
  if (save.kind !== 'conflict') return null;
  const time = new Date(save.head.savedAt).toLocaleTimeString();
  return (
    <SheetDialog open onClose={() => settleConflict('mine', journal)} title="This job was saved elsewhere too">
      <p className="mb-3">
        Another page saved revision {save.head.number} at {time}. Yours is kept as revision {save.yours.number}. Nothing
        is lost: both stay in the list of revisions, whichever goes on.
      </p>
      <div className="flex flex-wrap gap-2">
        <Button look="strong" onClick={() => settleConflict('mine', journal)}>
          Go on with mine
        </Button>
        <Button onClick={() => settleConflict('theirs', journal)}>Take theirs</Button>
      </div>
    </SheetDialog>
  );
};
