import type { DrawingFile, SessionReply } from '@vitrum/core';
import { useEffect, useState } from 'react';
import { workers } from '../workers/clients';
import type { LightClient } from '../workers/clients';
import { refusalOf } from '../workers/meanings';
import { readDrawingFile } from './read-drawing-file';

type Question = Parameters<LightClient['ask']>[0]['request'];

/** What came of a file: what is wrong with taking it, and what is to be told of it. */
export interface Taken {
  readonly problem: string | null;
  readonly told: readonly string[];
}

/** A file that is read and taken in as a whole: what to ask of it, and what to make of the answer; null where it is none. */
export const useTakenFile = (
  ask: (file: DrawingFile) => Question,
  take: (reply: SessionReply, name: string) => Taken | null,
) => {
  const [taken, setTaken] = useState<Taken>({ problem: null, told: [] });
  const [busy, setBusy] = useState(false);
  useEffect(() => workers.intake.hold(), []);
  const amiss = (problem: string): void => {
    setBusy(false);
    setTaken({ problem, told: [] });
  };
  const read = (file: DrawingFile): void => {
    setBusy(true);
    workers.intake.ask({
      request: ask(file),
      lane: 'drawing',
      hear: (reply) => {
        setBusy(false);
        const wrong = refusalOf(reply);
        const found = take(reply, file.name);
        if (found !== null) setTaken(found);
        else if (wrong !== null) amiss(`${file.name} ${wrong}`);
      },
      fail: amiss,
    });
  };
  const open = async (picked: File): Promise<void> => {
    try {
      read(await readDrawingFile(picked));
    } catch (error) {
      amiss(error instanceof Error ? error.message : String(error));
    }
  };
  return { open, busy, ...taken };
};
