/** What PostgreSQL says when it ends, starts or has no room for one more; what the system says when nobody answers. */
const away = new Set([
  '57P01',
  '57P02',
  '57P03',
  '57P05',
  '08000',
  '08001',
  '08003',
  '08006',
  '53300',
  'ECONNREFUSED',
  'ECONNRESET',
  'ENOENT',
  'EPIPE',
  'ETIMEDOUT',
]);
const awayWords =
  /Connection terminated|timeout exceeded when trying to connect|connection error and is not queryable|Query read timeout/;

/** Two transactions in each other’s way: either may simply be done again. */
const inTheWay = new Set(['40001', '40P01']);

/** An error and all that it came from. */
const chain = (error: unknown): readonly { readonly code?: unknown; readonly message?: unknown }[] => {
  const found = [];
  for (let each = error; typeof each === 'object' && each !== null && found.length < 8;)
    each = (found.push(each), (each as { cause?: unknown }).cause);
  return found;
};

const hasCode = (error: unknown, codes: ReadonlySet<string>): boolean =>
  chain(error).some(({ code }) => typeof code === 'string' && codes.has(code));

/** Whether an error says that the database does not answer, or stopped answering. */
export const isAway = (error: unknown): boolean =>
  hasCode(error, away) || chain(error).some(({ message }) => typeof message === 'string' && awayWords.test(message));

/** Whether the same work may succeed if it is done again. */
export const mayBeTriedAgain = (error: unknown): boolean => isAway(error) || hasCode(error, inTheWay);

/** Whether the database refused a value: of a class of errors that is about data, not about the database. */
export const isAboutData = (error: unknown): boolean =>
  chain(error).some(({ code }) => typeof code === 'string' && /^2[23][0-9A-Z]{3}$/.test(code));
