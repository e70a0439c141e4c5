import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import { useRef } from 'react';
import { useKeptInView } from './use-kept-in-view';

type Look = Pick<IntersectionObserverEntry, 'isIntersecting'>;

/** The observer of a browser, told by hand what it sees. */
class HandObserver {
  static tell: (looks: readonly Look[]) => void = () => undefined;
  static observed = 0;
  constructor(callback: (looks: readonly Look[]) => void) {
    HandObserver.tell = callback;
  }
  observe(): void {
    HandObserver.observed += 1;
  }
  unobserve(): void {
    HandObserver.observed -= 1;
  }
  disconnect(): void {
    HandObserver.observed = 0;
  }
}

const Kept = ({ active }: { readonly active: boolean }) => {
  const field = useRef<HTMLButtonElement>(null);
  useKeptInView(field, active);
  return <button ref={field}>field</button>;
};

const scrolled = jest.fn();
const before = globalThis.IntersectionObserver;

beforeEach(() => {
  scrolled.mockClear();
  Object.assign(globalThis, { IntersectionObserver: HandObserver });
  Element.prototype.scrollIntoView = scrolled;
});
afterEach(() => {
  Object.assign(globalThis, { IntersectionObserver: before });
});

const [inSight, outOfSight] = [{ isIntersecting: true }, { isIntersecting: false }];

describe('what is kept in view', () => {
  it('is scrolled back when it is pushed out, and looked at anew', () => {
    render(<Kept active />);
    HandObserver.tell([inSight]);
    expect(scrolled).not.toHaveBeenCalled();
    HandObserver.tell([outOfSight]);
    expect(scrolled).toHaveBeenCalledTimes(1);
    expect(HandObserver.observed).toBe(1);
  });

  it('is scrolled back by the last of several looks that a busy page hears of at once', () => {
    render(<Kept active />);
    HandObserver.tell([inSight, outOfSight]);
    expect(scrolled).toHaveBeenCalledTimes(1);
    HandObserver.tell([outOfSight, inSight]);
    expect(scrolled).toHaveBeenCalledTimes(1);
  });

  it('is left alone while nothing hangs on it', () => {
    const { rerender } = render(<Kept active={false} />);
    expect(HandObserver.observed).toBe(0);
    rerender(<Kept active />);
    expect(HandObserver.observed).toBe(1);
    rerender(<Kept active={false} />);
    expect(HandObserver.observed).toBe(0);
    expect(screen.getByText('field')).toBeTruthy();
  });
});
