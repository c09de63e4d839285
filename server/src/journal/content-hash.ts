import { hash } from 'node:crypto';
import type { JournalEntry, SetUpVersion } from '@winter-jar/core';

/** Names of fields as JSON: few, and needed for every entry. */
const quoted = new Map<string, string>();
function quotedName(key: string): string {
  let text = quoted.get(key);
  if (text === undefined) quoted.set(key, (text = JSON.stringify(key)));
  return text;
}

/** One text for one content: keys in order, what is absent or null left out. */
export function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join()}]`;
  if (typeof value !== 'object' || value === null) return JSON.stringify(value);
  let text = '';
  for (const key of Object.keys(value).sort()) {
    const member = (value as Record<string, unknown>)[key];
    if (member !== undefined && member !== null) text += `${quotedName(key)}:${canonical(member)},`;
  }
  return `{${text}}`;
}

/** Two entries with one hash say the same. When it was recorded, on which device and what was asked are not part of it. */
export function contentHash(entry: JournalEntry | SetUpVersion): string {
  const { recordedAt: _recorded, device: _device, acknowledged: _asked, actId: _act, ...said } = entry as JournalEntry;
  return hash('sha256', canonical(said));
}
