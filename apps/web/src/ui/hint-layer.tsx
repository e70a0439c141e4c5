import { Popover } from 'radix-ui';
import { useEffect, useRef, useState } from 'react';

const afterMs = 450;

interface Shown {
  readonly element: HTMLElement;
  readonly words: string;
}

const hinted = (target: EventTarget | null): HTMLElement | null =>
  target instanceof Element ? target.closest<HTMLElement>('[data-hint]') : null;

/** The hint of whatever is pointed at, or gone to by keyboard; one for the whole page. */
export const HintLayer = () => {
  const [shown, setShown] = useState<Shown | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const anchor = useRef<HTMLElement | null>(null);
  useEffect(() => {
    const hide = (): void => {
      clearTimeout(timer.current);
      anchor.current = null;
      setShown(null);
    };
    const wait = (element: HTMLElement): void => {
      if (anchor.current === element) return;
      hide();
      anchor.current = element;
      timer.current = setTimeout(() => setShown({ element, words: element.dataset['hint'] ?? '' }), afterMs);
    };
    const onOver = ({ target }: PointerEvent): void => {
      const element = hinted(target);
      if (element === null) hide();
      else wait(element);
    };
    const onFocus = ({ target }: FocusEvent): void => {
      const element = hinted(target);
      if (element?.matches(':focus-visible') === true) wait(element);
    };
    document.addEventListener('pointerover', onOver);
    document.addEventListener('focusin', onFocus);
    document.addEventListener('focusout', hide);
    document.addEventListener('pointerdown', hide);
    document.addEventListener('keydown', hide);
    return () => {
      clearTimeout(timer.current);
      document.removeEventListener('pointerover', onOver);
      document.removeEventListener('focusin', onFocus);
      document.removeEventListener('focusout', hide);
      document.removeEventListener('pointerdown', hide);
      document.removeEventListener('keydown', hide);
    };
  }, []);
  if (shown === null) return null;
  return (
    <Popover.Root open>
      <Popover.Anchor virtualRef={{ current: shown.element }} />
      <Popover.Portal>
        <Popover.Content
          role="tooltip"
          sideOffset={5}
          collisionPadding={8}
          onOpenAutoFocus={(event) => event.preventDefault()}
          onCloseAutoFocus={(event) => event.preventDefault()}
          className="no-print pointer-events-none z-50 max-w-72 rounded-[3px] border border-ink bg-sheet px-2 py-1 text-[13px] leading-tight text-ink shadow-[0_4px_12px_rgb(0_0_0/0.2)]"
        >
          {shown.words}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
};
