import { env } from 'node:process';

/** How many jobs `npm run jobs` asks for; null in an ordinary run of the tests, which takes a part of them. */
export const jobsAsked: number | null = env.VITRUM_JOBS === undefined ? null : Number(env.VITRUM_JOBS);
