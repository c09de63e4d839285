import type { ReadingStatements } from '../database/statements.js';

/** What a job has at hand in its thread: its own read connection, and whom to tell how far it is. */
export interface JobTools {
  readonly sql: ReadingStatements;
  /** @param share from 0 to 1 */
  readonly progress: (share: number) => void;
}

/** Reading or computing that takes longer than others should wait. Input and answer are copied between threads. */
export interface Job<Input, Answer> {
  readonly name: string;
  run(tools: JobTools, input: Input): Answer | Promise<Answer>;
}
