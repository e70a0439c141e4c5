/** The page of a job, apart from the little that shows while it is on its way. */
export const fetchJobPage = () => import('./job-page').then((module) => ({ default: module.JobPage }));
