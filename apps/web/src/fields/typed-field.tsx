import { useId, type KeyboardEvent, type ReactNode } from 'react';
import { FieldRow, fieldLook } from './field-row';
import { helpId } from '../help/with-help';
import { useDraft } from './use-draft';

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
export const TypedField = ({ label, stored, save, nudge, hint, inputMode = 'text' }: TypedFieldProps) => {
  const id = useId();
  const draft = useDraft(stored, save);
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key === 'Enter') {
      // Enter takes the value; it does not send a form that the field may stand in.
      event.preventDefault();
      draft.commit();
    } else if (event.key === 'Escape') draft.abandon();
    else if (nudge !== undefined && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
      event.preventDefault();
      draft.abandon();
      nudge((event.key === 'ArrowUp' ? 1 : -1) * (event.shiftKey ? 10 : 1));
    }
  };
  return (
    <FieldRow id={id} label={label} hint={hint} problem={draft.problem}>
      <input
        id={id}
        className={`${fieldLook} figure text-right`}
        value={draft.text}
        inputMode={inputMode}
        autoComplete="off"
        spellCheck={false}
        aria-invalid={draft.problem !== null}
        aria-describedby={draft.problem === null ? helpId(id) : `${id}-problem`}
        onChange={(event) => draft.type(event.target.value)}
        onFocus={(event) => event.target.select()}
        onBlur={draft.commit}
        onKeyDown={onKeyDown}
      />
    </FieldRow>
  );
};
