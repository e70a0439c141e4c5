import { Progress } from 'radix-ui';

interface ProgressBarProps {
  readonly label: string;
  /** Done, of how many; null while nobody knows of how many. */
  readonly done: { readonly value: number; readonly max: number } | null;
}

/** How far something has come; moving to and fro while that is not known. */
export const ProgressBar = ({ label, done }: ProgressBarProps) => (
  <Progress.Root
    aria-label={label}
    value={done === null ? null : Math.min(done.value, done.max)}
    max={Math.max(1, done?.max ?? 1)}
    className="h-2 min-w-0 flex-1 overflow-hidden bg-line"
  >
    <Progress.Indicator
      className={`h-full bg-ink ${done === null ? 'w-1/3 animate-pulse' : ''}`}
      {...(done === null
        ? {}
        : { style: { width: `${(100 * Math.min(done.value, done.max)) / Math.max(1, done.max)}%` } })}
    />
  </Progress.Root>
);
