import type BetterSqlite3 from 'better-sqlite3';
import type { Sight } from '@winter-jar/core';
import type { ReadingStatements } from '../database/statements.js';

/** What a job has at hand in its thread: its own read connection, and whom to tell how far it is. */
export interface JobTools<Part = never> {
  readonly db: BetterSqlite3.Database;
  readonly sql: ReadingStatements;
  /** @param share from 0 to 1 @param part of the answer, for whom the whole takes too long */
  readonly progress: (share: number, part?: Part) => void;
}

/** `screen`: somebody waits for an answer on it. `file`: files that are made or checked, for minutes where they are large. */
export type Lane = 'screen' | 'file';

/** Reading or computing that takes longer than others should wait. Input and answer are copied between threads. */
export interface Job<Input, Answer, Part = never> {
  readonly name: string;
  readonly lane: Lane;
  run(tools: JobTools<Part>, input: Input): Answer | Promise<Answer>;
}

/** What a job that makes a file is told. */
export interface FileAsked {
  readonly dataFolder: string;
  /** An empty folder of its own, inside the data folder. */
  readonly into: string;
  /** Name of the file that it leaves there. */
  readonly fileName: string;
  readonly now: string;
  /** Sites of whoever asked: what is of others does not leave the house. */
  readonly sight: Sight;
}
export type FileJob = Job<FileAsked, null>;
