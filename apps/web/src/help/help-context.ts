import { createContext } from 'react';
import type { FoundField } from './find-help';

/** What fields mean where they stand, by their labels; nothing does outside of a job, nor before it is fetched. */
export const HelpContext = createContext<ReadonlyMap<string, FoundField>>(new Map());
