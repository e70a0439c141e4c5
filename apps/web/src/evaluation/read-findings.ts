import type { Finding } from '@vitrum/core';
import { useEffect, useId, useMemo } from 'react';
import { create } from 'zustand';
import { useEvaluation } from './evaluation-store';

/** Findings that are read at the moment, by who reads them: their fixes are worth trying, those of others are not. */
export const useReaders = create<{ readonly readers: Readonly<Record<string, readonly string[]>> }>(() => ({
  readers: {},
}));

const readBy = (reader: string, findings: readonly string[] | null): void =>
  useReaders.setState(({ readers: { [reader]: _, ...others } }) => ({
    readers: findings === null ? others : { ...others, [reader]: findings },
  }));

/** Whether somebody reads a finding. */
export const isRead = (id: string): boolean =>
  Object.values(useReaders.getState().readers).some((findings) => findings.includes(id));

/** A finding that is read. */
export interface ReadFinding {
  readonly finding: Finding;
  /** Whether its fixes have been tried, and stand in it. */
  readonly isTried: boolean;
}

/**
 * Findings of the evaluation that is shown, as `which` chooses them (it must not change from one drawing to the next), with
 * their fixes as soon as they are tried, which reading them asks for.
 */
export const useReadFindings = (
  which: (findings: readonly Finding[]) => readonly Finding[],
): readonly ReadFinding[] => {
  const reader = useId();
  const found = useEvaluation(({ evaluation }) => evaluation?.findings);
  const tried = useEvaluation((state) => state.tried);
  const read = useMemo(() => which(found ?? []), [which, found]);
  useEffect(
    () =>
      readBy(
        reader,
        read.map(({ id }) => id),
      ),
    [reader, read],
  );
  useEffect(() => () => readBy(reader, null), [reader]);
  return read.map((finding) => ({ finding: tried[finding.id] ?? finding, isTried: finding.id in tried }));
};
