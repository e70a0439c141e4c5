import { type ReactNode } from 'react';
interface TypedFieldProps {
  readonly label: string;
  readonly stored: string;
  /** Takes the typed text; returns what is wrong with it, or null. */
  readonly save: (text: string) => string | null;
  /** Arrow up and down: by one step, or ten with Shift. */
  readonly nudge?: (steps: number) => void;
  readonly hint?: ReactNode;
  readonly inputMode?: 'decimal' | 'text' | 'numeric';
}
/** A field that takes its text on Enter or when left, and gives it up on Escape. */
export declare const TypedField: ({
  label,
  stored,
  save,
  nudge,
  hint,
  inputMode,
}: TypedFieldProps) => import('react').JSX.Element;
export {};
