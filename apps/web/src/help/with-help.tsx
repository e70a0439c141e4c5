import { useContext, useEffect, useRef, type ReactNode } from 'react';
import { create } from 'zustand';
import { HelpContext } from './help-context';

interface HelpShown {
  /** The field that was gone to, by its row; null when none is. */
  readonly at: { readonly label: string; readonly row: HTMLElement } | null;
}

/** Which field’s meaning is told beside it. */
export const useHelpShown = create<HelpShown>(() => ({ at: null }));

/** The id of what is read out with a field. */
export const helpId = (id: string): string => `${id}-help`;

interface WithHelpProps {
  readonly id: string;
  readonly label: string;
  readonly children: ReactNode;
}

/** A field’s row, whose meaning is told when the field is gone to. */
export const WithHelp = ({ id, label, children }: WithHelpProps) => {
  const help = useContext(HelpContext).get(label);
  const row = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const own = row.current;
    // What goes away while it has the focus, as when the browser goes back, loses it without a word.
    return () => useHelpShown.setState(({ at }) => (at?.row === own ? { at: null } : {}));
  }, []);
  return (
    <div
      ref={row}
      onFocus={({ currentTarget, target }) =>
        // A list that is opened from here stands elsewhere; help over it would take its Escape.
        useHelpShown.setState({ at: currentTarget.contains(target) ? { label, row: currentTarget } : null })
      }
      onBlur={() => useHelpShown.setState({ at: null })}
    >
      {children}
      {help !== undefined && (
        <span id={helpId(id)} hidden>
          {[help.what, help.measure, help.usual].filter(Boolean).join(' ')}
        </span>
      )}
    </div>
  );
};
