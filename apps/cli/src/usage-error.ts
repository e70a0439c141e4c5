/** A failure to be told in plain words; ends the command with code 2. */
export class UsageError extends Error {}
