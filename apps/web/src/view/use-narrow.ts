import { useSyncExternalStore } from 'react';

/** As the layout has it: below this everything lies in one column. */
const narrow = '(width < 64rem)';

const query = (): MediaQueryList | null => (typeof window.matchMedia === 'function' ? window.matchMedia(narrow) : null);

const subscribe = (heard: () => void): (() => void) => {
  const list = query();
  list?.addEventListener('change', heard);
  return () => list?.removeEventListener('change', heard);
};

/** Whether the page is one column, as on a phone. */
export const useNarrow = (): boolean => useSyncExternalStore(subscribe, () => query()?.matches ?? false);
