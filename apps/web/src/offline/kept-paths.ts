/** Where the answers lie that a job’s pages need, should the network be away. */
export const keptAnswers = 'vitrum-jobs';

const paths = [
  /^\/api\/jobs\/[\w-]+$/,
  /^\/api\/catalogue$/,
  /^\/api\/lessons$/,
  /^\/api\/bench\/[\w-]+\/photos\/[\w-]+$/,
];

/** Whether the newest answer to this is kept for when the network is away. */
export const isKept = (pathname: string): boolean => paths.some((path) => path.test(pathname));

/** What the bench mode of a job asks the server for. */
export const neededFor = (jobId: string): readonly string[] => [`/api/jobs/${jobId}`, '/api/catalogue', '/api/lessons'];
