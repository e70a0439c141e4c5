import { Popover } from 'radix-ui';
import { useContext, useEffect, useState } from 'react';
import { useView } from '../view/view-store';
import type { FoundField } from './find-help';
import { HelpContext } from './help-context';
import { useHelpShown } from './with-help';

const afterMs = 500;

interface CardProps {
  readonly field: FoundField;
  readonly row: HTMLElement;
}

/** What a field means, beside its row, a moment after it is gone to. */
const HelpCard = ({ field, row }: CardProps) => {
  const [waited, setWaited] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setWaited(true), afterMs);
    return () => clearTimeout(timer);
  }, []);
  if (!waited) return null;
  return (
    <Popover.Root open>
      <Popover.Anchor virtualRef={{ current: row }} />
      <Popover.Portal>
        <Popover.Content
          side="left"
          align="start"
          sideOffset={20}
          collisionPadding={8}
          onOpenAutoFocus={(event) => event.preventDefault()}
          onCloseAutoFocus={(event) => event.preventDefault()}
          onInteractOutside={(event) => event.preventDefault()}
          aria-label={`About ${field.label}`}
          className="no-print z-40 w-64 rounded-[3px] border border-ink bg-sheet px-3 py-2 text-[13px] text-ink shadow-[0_6px_18px_rgb(0_0_0/0.22)]"
        >
          <p>{field.what}</p>
          {field.measure !== undefined && (
            <p className="mt-1">
              <b>Measure: </b>
              {field.measure}
            </p>
          )}
          {field.usual !== undefined && (
            <p className="mt-1">
              <b>Usual: </b>
              {field.usual}
            </p>
          )}
          <p className="mt-1.5 border-t border-line pt-1 text-xs text-soft">F1 switches these on and off</p>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
};

/** Help for the field that is gone to, unless it is switched off (F1). */
export const HelpLayer = () => {
  const at = useHelpShown((state) => state.at);
  const wanted = useView((view) => view.help);
  const field = useContext(HelpContext).get(at?.label ?? '');
  return at === null || field === undefined || !wanted ? null : <HelpCard key={at.label} field={field} row={at.row} />;
};
