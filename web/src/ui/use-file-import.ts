import { useState } from 'react';

export type ReadFile<T> = { readonly ok: true; readonly content: T } | { readonly ok: false; readonly words: string };

export interface FileImport<P, R, O> {
  /** Name of the file that was chosen. */
  readonly name: string;
  readonly preview: P | null;
  readonly result: R | null;
  readonly trouble: string | null;
  readonly choose: (file: File) => Promise<void>;
  readonly take: (option: O) => Promise<void>;
  readonly leave: () => void;
}

/**
 * A file that comes in with a preview: chosen, read, shown what it would do, and then taken as the person says, or left.
 * @param ask what taking it would do; null when the server does not answer
 * @param put takes it; words where it was refused after all
 */
export function useFileImport<T, P, R, O>(input: {
  read: (file: File) => Promise<ReadFile<T>>;
  ask: (content: T) => Promise<P | null>;
  put: (content: T, option: O) => Promise<ReadFile<R> | null>;
  failed: string;
}): FileImport<P, R, O> {
  const [chosen, setChosen] = useState<{ readonly name: string; readonly content: T } | null>(null);
  const [preview, setPreview] = useState<P | null>(null);
  const [result, setResult] = useState<R | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  return {
    name: chosen?.name ?? '',
    preview,
    result,
    trouble,
    leave: () => setPreview(null),
    async choose(file) {
      setPreview(null);
      setResult(null);
      setTrouble(null);
      const read = await input.read(file);
      if (!read.ok) return setTrouble(read.words);
      setChosen({ name: file.name, content: read.content });
      const answer = await input.ask(read.content);
      if (answer) setPreview(answer);
      else setTrouble(input.failed);
    },
    async take(option) {
      if (!chosen) return;
      setTrouble(null);
      const done = await input.put(chosen.content, option);
      if (!done) return setTrouble(input.failed);
      if (!done.ok) return setTrouble(done.words);
      setResult(done.content);
      setPreview(null);
    },
  };
}
