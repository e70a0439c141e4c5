/** What a command line reads from and tells its answers to. */
export interface Terminal {
  readonly input: AsyncIterable<Buffer>;
  readonly print: (text: string) => void;
  /** What went wrong, and remarks beside the answer. */
  readonly complain: (text: string) => void;
}

/** That of the process itself. */
export const processTerminal: Terminal = {
  input: process.stdin,
  print: (text) => void process.stdout.write(text),
  complain: (text) => void process.stderr.write(text),
};
