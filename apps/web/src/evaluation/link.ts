import { workers } from '../workers/clients';
import { connectEvaluation } from './evaluation-store';

/** The thread that lights the open design. */
export const evaluationLink = connectEvaluation(workers.evaluation);
