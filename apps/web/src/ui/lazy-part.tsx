import { useEffect, useState, type ComponentType, type ReactNode } from 'react';
import { Button } from './button';

interface LazyOptions {
  /** Stands where the part is on its way. */
  readonly fallback?: ReactNode;
  /** Heavy, and wanted by few: fetched when it is first shown, not while the page is idle. */
  readonly onlyWhenShown?: boolean;
}

/** Loaders of parts that are not here yet, to be run while nothing else is to be done. */
const toFetch = new Set<() => Promise<unknown>>();

/** Fetches what is not here yet, so that steps open at once and go on opening when the server goes away. */
export const fetchTheRest = async (): Promise<void> => {
  for (const load of [...toFetch]) await load().catch(() => undefined);
};

const Fetching = () => (
  <p role="status" className="flex-1 py-2 text-[13px] text-soft">
    Fetching …
  </p>
);

const NotFetched = ({ onRetry }: { readonly onRetry: () => void }) => (
  <div role="alert" className="flex-1 py-2 text-[13px]">
    <p className="mb-1">This part of the page could not be fetched: the server does not answer. Nothing is lost.</p>
    <Button onClick={onRetry}>Try again</Button>
  </div>
);

/** A named component of a module that is fetched when it is first shown, or while the page is idle. */
export const lazyPart = <Props extends object, Name extends string>(
  load: () => Promise<Readonly<Record<Name, ComponentType<Props>>>>,
  name: Name,
  { fallback = <Fetching />, onlyWhenShown = false }: LazyOptions = {},
): ComponentType<Props> => {
  let loaded: ComponentType<Props> | null = null;
  const fetchPart = async (): Promise<void> => {
    loaded ??= (await load())[name];
    toFetch.delete(fetchPart);
  };
  if (!onlyWhenShown) toFetch.add(fetchPart);

  const Part = (props: Props) => {
    const [state, setState] = useState<'on its way' | 'here' | 'failed'>('on its way');
    useEffect(() => {
      if (state !== 'on its way') return undefined;
      let gone = false;
      const tell = (next: 'here' | 'failed') => (): void => {
        if (!gone) setState(next);
      };
      fetchPart().then(tell('here'), tell('failed'));
      return () => {
        gone = true;
      };
    }, [state]);
    if (loaded !== null) {
      const Loaded = loaded;
      return <Loaded {...props} />;
    }
    return state === 'failed' ? <NotFetched onRetry={() => setState('on its way')} /> : fallback;
  };
  Part.displayName = name;
  return Part;
};
