/** The day as 2030-01-31, where the user is. */
export const dayOf = (now: Date): string =>
  [now.getFullYear(), now.getMonth() + 1, now.getDate()].map((part) => String(part).padStart(2, '0')).join('-');
