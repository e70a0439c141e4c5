import { buildOf, type NewJobAnswers } from '../../builds/index.js';
import type { Design } from '../design/index.js';

/** A design to start from, of one assembly of a build, by the answers of a new job. */
export const newDesign = (build: string, answers: NewJobAnswers): Design =>
  // A build starts with assemblies of its own.
  buildOf({ build }).start(answers) as Design;
