import type { DesignChange } from '@vitrum/core';
import { useEffect, useMemo, useRef } from 'react';
import { beginGesture, type Gesture } from './document-store';

/** The drag of one handle. It ends where it is when the handle goes away. */
export const useGesture = () => {
  const open = useRef<Gesture | null>(null);
  const held = useMemo(() => {
    const letGo = (how: 'end' | 'cancel'): void => {
      open.current?.[how]();
      open.current = null;
    };
    return {
      begin: (): void => {
        open.current = beginGesture();
      },
      change: (change: DesignChange): void => open.current?.change(change),
      letGo,
      isOpen: (): boolean => open.current !== null,
    };
  }, []);
  useEffect(() => () => held.letGo('end'), [held]);
  return held;
};
