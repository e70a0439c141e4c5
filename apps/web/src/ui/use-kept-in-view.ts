import { useEffect, type RefObject } from 'react';

/**
 * Keeps an element in sight while `active`: what comes in above it may push it out of the window, and a list that hangs on it
 * would go with it, where nobody can scroll.
 */
export const useKeptInView = (element: RefObject<HTMLElement | null>, active: boolean): void => {
  useEffect(() => {
    const kept = element.current;
    if (!active || kept === null || typeof IntersectionObserver !== 'function') return undefined;
    const observer = new IntersectionObserver(
      (looks) => {
        // A page that was busy hears of several looks at once: the last counts.
        if (looks.at(-1)?.isIntersecting !== false) return;
        kept.scrollIntoView({ block: 'nearest' });
        // What comes in before the next look would leave it out as it was, and what does not change is not told: look anew.
        observer.unobserve(kept);
        observer.observe(kept);
      },
      { threshold: 0.5 },
    );
    observer.observe(kept);
    return () => observer.disconnect();
  }, [element, active]);
};
