import type { Change, ChangesAnswer } from '@winter-jar/contracts';
import { ownChanges } from './own-changes.js';
import { ALL_TAGS, tagsOf, type Tag } from './house-api.js';

const CHANNEL = 'winter-jar-changes';
const STREAM = '/api/changes/stream';
/** A stream that was refused, as while data are replaced, is asked for again. */
const AGAIN_MS = 3000;

interface Stand {
  readonly epoch: string;
  readonly seq: number;
}
type Message = ({ readonly kind: 'stands' } & Stand) | { readonly kind: 'changed'; readonly change: Change };

/**
 * Reads anew what others change: one stream per browser, shared by its tabs. The tab that holds the lock listens and passes on what
 * it hears; where there are no locks (plain http on a network) each tab listens for itself.
 * @param stale told what was read and is not true any more
 */
export function followChanges(stale: (tags: readonly Tag[]) => void): void {
  let seen: Stand | null = null;

  async function take(message: Message): Promise<void> {
    if (message.kind === 'stands') {
      const before = seen;
      seen = { epoch: message.epoch, seq: message.seq };
      if (before && before.epoch !== message.epoch) stale(ALL_TAGS);
      else if (before && before.seq < message.seq) stale(await missed(before));
      return;
    }
    const { seq, kind, pumpIds } = message.change;
    if (seen) seen = { ...seen, seq: Math.max(seen.seq, seq) };
    if (!(await ownChanges.has(seq))) stale(tagsOf({ kinds: [kind], pumpIds }));
  }

  const others = new BroadcastChannel(CHANNEL);
  others.onmessage = ({ data }: MessageEvent<Message>) => void take(data);
  const hear = (message: Message) => {
    void take(message);
    others.postMessage(message);
  };
  const listening = () => new Promise<never>(() => listen(hear));
  if ('locks' in navigator) void navigator.locks.request(CHANNEL, listening);
  else void listening();
}

/** What was changed while nobody listened. */
async function missed({ epoch, seq }: Stand): Promise<readonly Tag[]> {
  const answer = await fetch(`/api/changes?since=${seq}&epoch=${encodeURIComponent(epoch)}`).catch(() => null);
  if (!answer?.ok) return ALL_TAGS;
  const changes = (await answer.json()) as ChangesAnswer;
  return changes.startOver ? ALL_TAGS : tagsOf(changes);
}

function listen(hear: (message: Message) => void): void {
  const stream = new EventSource(STREAM);
  stream.addEventListener('stands', ({ data }: MessageEvent<string>) =>
    hear({ kind: 'stands', ...(JSON.parse(data) as Stand) }),
  );
  stream.addEventListener('changed', ({ data }: MessageEvent<string>) =>
    hear({ kind: 'changed', change: JSON.parse(data) as Change }),
  );
  stream.onerror = () => {
    // A broken connection is mended by the browser itself.
    if (stream.readyState !== EventSource.CLOSED) return;
    setTimeout(() => listen(hear), AGAIN_MS);
  };
}
