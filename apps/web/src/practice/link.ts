import { connectPractice, usePractice, type PracticeLink } from './practice-store';

let link: PracticeLink | null = null;

/** The page’s one bench thread, started on first use with the circuit that is chosen. */
export const practiceLink = (): PracticeLink => {
  if (link !== null) return link;
  link = connectPractice(new Worker(new URL('./worker.ts', import.meta.url), { type: 'module', name: 'practice' }));
  const { circuit, level, seed } = usePractice.getState();
  link.start(circuit, level, seed);
  return link;
};
