/** How long the answer to a write and the stream's word of it may lie apart. */
const APART_MS = 300;
const REMEMBERED = 200;

const known: number[] = [];

/** Changes that this page made itself, and has read anew by itself: the stream tells them too. */
export const ownChanges = {
  add(seqs: readonly number[]): void {
    known.push(...seqs);
    known.splice(0, known.length - REMEMBERED);
  },
  /** Waits for the answer that may still be on its way. */
  async has(seq: number): Promise<boolean> {
    if (!known.includes(seq)) await new Promise((resolve) => setTimeout(resolve, APART_MS));
    return known.includes(seq);
  },
};
