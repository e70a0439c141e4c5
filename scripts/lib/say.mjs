/** A failure that needs no stack trace: one sentence for the person at the keyboard. */
export class PlainError extends Error {}

export const say = (text) => process.stdout.write(`${text}\n`);

/** Runs `main`; a failure prints its sentence and ends with code 1. */
export const runMain = (main) =>
  main().catch((error) => {
    process.stderr.write(`${error instanceof PlainError ? error.message : (error?.stack ?? String(error))}\n`);
    process.exit(1);
  });
