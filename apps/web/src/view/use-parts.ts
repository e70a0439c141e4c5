import type { StoreApi, UseBoundStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';

/** Some parts of a store by their names; the component renders anew when one of them changes, and not for the rest. */
export const useParts = <State, Key extends keyof State>(
  useStore: UseBoundStore<StoreApi<State>>,
  ...keys: readonly Key[]
): Pick<State, Key> =>
  useStore(useShallow((state) => Object.fromEntries(keys.map((key) => [key, state[key]])) as Pick<State, Key>));
