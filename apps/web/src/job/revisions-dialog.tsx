import { useQuery } from '@tanstack/react-query';
import { getRevision, listRevisions } from '../api/jobs';
import { setDesign } from '../document/document-store';
import { useState } from 'react';
import { RevisionCompare } from './revision-compare';
import { Button } from '../ui/button';
import { SheetDialog } from '../ui/sheet-dialog';

interface RevisionsDialogProps {
  readonly jobId: string;
  readonly onClose: () => void;
}

/** Every version ever saved; any can be brought back, as a new edit that undo takes away again. */
export const RevisionsDialog = ({ jobId, onClose }: RevisionsDialogProps) => {
  const { data, error } = useQuery({
    queryKey: ['revisions', jobId],
    queryFn: () => listRevisions(jobId),
    staleTime: 0,
  });
  const [compared, setCompared] = useState<number | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const bringBack = async (number: number): Promise<void> => {
    setRefused(null);
    try {
      setDesign((await getRevision(jobId, number)).design);
      onClose();
    } catch (reason) {
      setRefused(reason instanceof Error ? reason.message : String(reason));
    }
  };
  return (
    <SheetDialog open wide onClose={onClose} title="Revisions">
      {error !== null && <p role="alert">{error.message}</p>}
      {refused !== null && (
        <p role="alert" className="mb-2 font-semibold text-signal">
          It could not be brought back: {refused}
        </p>
      )}
      <ul>
        {(data ?? []).map((revision) => (
          <li key={revision.number} className="flex items-center justify-between gap-3 border-b border-line py-1.5">
            <span>
              <span className="figure font-semibold">{revision.number}</span>{' '}
              {new Date(revision.savedAt).toLocaleString()}
              {revision.setAside && (
                <span className="block text-xs text-signal">set aside: saved while another was newer</span>
              )}
            </span>
            <span className="flex gap-2">
              <Button
                aria-expanded={compared === revision.number}
                onClick={() => setCompared(compared === revision.number ? null : revision.number)}
              >
                Compare
              </Button>
              <Button onClick={() => void bringBack(revision.number)}>Bring back</Button>
            </span>
          </li>
        ))}
      </ul>
      {compared !== null && <RevisionCompare key={compared} jobId={jobId} number={compared} />}
    </SheetDialog>
  );
};
