import { buildOf, type NewJobAnswers } from '../../builds/index.js';
import type { Design } from '../design/index.js';

/** The longest name that a job gets from its text. */
const longestName = 60;

/** What a job is called until somebody names it: what its sign says, on one line. */
export const jobName = (text: string): string => text.replace(/\s+/g, ' ').trim().slice(0, longestName) || 'New sign';

/** A design to start from, of one assembly of a build, by the answers of a new job. */
export const newDesign = (build: string, answers: NewJobAnswers): Design =>
  // A build starts with assemblies of its own.
  buildOf({ build }).start(answers) as Design;
