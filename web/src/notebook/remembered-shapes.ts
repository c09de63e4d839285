import {
  foldText,
  type HouseSetUp,
  type NotebookAnswers,
  type NotebookColumn,
  type NotebookSheet,
} from '@winter-jar/core';

const KEY = 'winter-jar.notebook-shapes';
const KEPT = 12;

/** What was said of a file of this shape: it is asked once. */
export interface Remembered {
  readonly shape: string;
  readonly columns: readonly NotebookColumn[];
  readonly answers: NotebookAnswers;
}

/** The names of the columns, else how many there are. */
export const shapeOf = ({ header, rows }: NotebookSheet): string =>
  header ? header.map(foldText).join('|') : `${Math.max(0, ...rows.map(({ cells }) => cells.length))} columns`;

function all(): Remembered[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
    return Array.isArray(kept) ? (kept as Remembered[]) : [];
  } catch {
    return [];
  }
}

export const rememberedOf = (shape: string): Remembered | null => all().find((one) => one.shape === shape) ?? null;

export function remember(one: Remembered): void {
  try {
    localStorage.setItem(
      KEY,
      JSON.stringify([one, ...all().filter(({ shape }) => shape !== one.shape)].slice(0, KEPT)),
    );
  } catch {
    // A browser without storage asks again.
  }
}

/** Answers without those that name a record which the set-up has no more. */
export function stillKnown(answers: NotebookAnswers, house: HouseSetUp): NotebookAnswers {
  const names = Object.fromEntries(
    Object.entries(answers.names).map(([kind, byText]) => {
      const records = house[kind as keyof NotebookAnswers['names']];
      return [kind, Object.fromEntries(Object.entries(byText).filter(([, id]) => id === null || id in records))];
    }),
  ) as unknown as NotebookAnswers['names'];
  return { ...answers, names };
}
