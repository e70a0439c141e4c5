import type { ReactNode } from 'react';
import { WithHelp } from '../help/with-help';

interface FieldRowProps {
  readonly id: string;
  readonly label: string;
  /** What follows from the value, in the figures of now. */
  readonly hint?: ReactNode;
  readonly problem?: string | null;
  readonly children: ReactNode;
  readonly below?: boolean;
}

/** A label, its field, what follows from it, and what is wrong with it. */
export const FieldRow = ({ id, label, hint, problem = null, children, below = false }: FieldRowProps) => (
  <WithHelp id={id} label={label}>
    <div className="py-1">
      <div className={below ? 'flex flex-col gap-1' : 'flex items-center justify-between gap-3'}>
        <label htmlFor={id}>{label}</label>
        {children}
      </div>
      {problem !== null && (
        <p id={`${id}-problem`} role="alert" className="mt-0.5 text-xs font-semibold text-signal">
          {problem}
        </p>
      )}
      {problem === null && hint !== undefined && <p className="mt-0.5 text-xs text-soft">{hint}</p>}
    </div>
  </WithHelp>
);

export const fieldLook =
  'w-40 rounded-[3px] border border-line bg-sheet px-2 py-1 text-ink hover:border-soft aria-invalid:border-signal';
