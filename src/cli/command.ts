/** A command of `keen`: what it answers to `--help`, and what it does. Returns the exit code. */
export interface Command {
  readonly help: string;
  readonly run: (args: readonly string[]) => Promise<number>;
}
