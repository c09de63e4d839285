import { megabytes, number } from '../ui/number.js';
type Read = { readonly ok: true; readonly content: unknown } | { readonly ok: false; readonly words: string };

/** A file that a person chose, as JSON; the words say what is wrong with it, where, and what would be right. */
export async function readJsonFile(file: Pick<File, 'name' | 'size' | 'text'>, maxBytes: number): Promise<Read> {
  if (file.size > maxBytes) {
    return {
      ok: false,
      words: `${file.name} has ${megabytes(file.size)}. Right would be at most ${megabytes(maxBytes)}. Nothing was imported.`,
    };
  }
  const text = await file.text();
  try {
    return { ok: true, content: JSON.parse(text) };
  } catch (error) {
    const cut = /end of JSON|Unterminated|Expected/.test((error as Error).message) && !/[\]}]\s*$/.test(text);
    const why = cut ? `It breaks off after ${number(text.length)} characters: was it cut short?` : 'It is not JSON.';
    return { ok: false, words: `${file.name} cannot be read. ${why} Nothing was imported.` };
  }
}
