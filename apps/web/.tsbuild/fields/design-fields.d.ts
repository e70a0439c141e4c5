import { type ReactNode } from 'react';
/** The stored value at a dotted path of the open design. */
export declare const useDesignValue: (path: string) => unknown;
interface FieldProps {
  readonly label: string;
  readonly path: string;
  readonly hint?: ReactNode;
}
/** A length, typed in any unit with fractions and arithmetic, shown in the user's unit. */
export declare const LengthField: ({ label, path, hint }: FieldProps) => import('react').JSX.Element;
interface NumberFieldProps extends FieldProps {
  readonly unit?: string;
  readonly step?: number;
  /** Empty means: none was named. */
  readonly optional?: boolean;
  /** Shown = stored × scale; 100 for shares shown as per cent. */
  readonly scale?: number;
}
/** A plain number with its unit. */
export declare const NumberField: ({
  label,
  path,
  hint,
  unit,
  step,
  optional,
  scale,
}: NumberFieldProps) => import('react').JSX.Element;
interface ChoiceFieldProps extends FieldProps {
  readonly choices: readonly {
    readonly value: string;
    readonly label: string;
  }[];
  /** The stored value for a choice; by default the choice itself. */
  readonly toStored?: (choice: string) => unknown;
}
/** One of a few, or of a catalogue. */
export declare const ChoiceField: ({
  label,
  path,
  hint,
  choices,
  toStored,
}: ChoiceFieldProps) => import('react').JSX.Element;
/** Words that may run over lines; every keystroke counts, so that the piece lights as one types. */
export declare const WordsField: ({ label, path, hint }: FieldProps) => import('react').JSX.Element;
export {};
