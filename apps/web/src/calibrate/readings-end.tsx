import type { Problem } from '@vitrum/core';
import { Button } from '../ui/button';
import type { Readings } from './measure-dialog';

/** Why readings say nothing yet. */
export const Refused = ({ problems }: { readonly problems: readonly Problem[] }) => (
  <p role="alert" className="mt-1 text-[13px] font-semibold text-signal">
    {problems[0]?.message}
  </p>
);

interface UseReadingsProps {
  readonly busy: boolean;
  readonly readings: Readings;
  readonly onUse: (readings: Readings) => void;
}

/** Takes what readings came to into the shelf. */
export const UseReadings = ({ busy, readings, onUse }: UseReadingsProps) => (
  <Button look="strong" className="mt-2" disabled={busy} onClick={() => onUse(readings)}>
    Use it from now on
  </Button>
);
