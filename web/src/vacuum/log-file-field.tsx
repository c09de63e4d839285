import type { ApiProblem, GaugeLogKept } from '@winter-jar/contracts';
import { MAX_GAUGE_LOG_BYTES } from '@winter-jar/contracts';
import { FileUp } from 'lucide-react';
import { useState } from 'react';
import { FilePicker } from '../ui/file-picker.js';

type Kept = { readonly ok: true; readonly logId: string } | { readonly ok: false; readonly words: string };

/** Sends a log as it is: what was read from it can be read again. */
async function sendLog(file: File): Promise<Kept> {
  if (file.size === 0) return { ok: false, words: `“${file.name}” is empty. Right would be an export of a gauge.` };
  if (file.size > MAX_GAUGE_LOG_BYTES)
    return {
      ok: false,
      words: `“${file.name}” is too large. Right would be at most ${MAX_GAUGE_LOG_BYTES / 1_000_000} MB.`,
    };
  try {
    const response = await fetch('/api/gauge-logs', {
      method: 'POST',
      headers: { 'content-type': 'text/csv' },
      body: file,
    });
    const answer = (await response.json()) as GaugeLogKept | ApiProblem;
    if ('logId' in answer) return { ok: true, logId: answer.logId };
    return { ok: false, words: `The log was not kept. Right would be ${answer.right}.` };
  } catch {
    return { ok: false, words: 'The log was not kept: the server does not answer. Choose it again when it is back.' };
  }
}

/** The file of a gauge, kept as soon as it is chosen. */
export function LogFileField({
  name,
  error,
  onLog,
}: {
  name: string;
  error: string | undefined;
  onLog: (log: { logId: string; name: string }) => void;
}) {
  const [sending, setSending] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  async function take(file: File): Promise<void> {
    setSending(true);
    setTrouble(null);
    const kept = await sendLog(file);
    setSending(false);
    if (kept.ok) onLog({ logId: kept.logId, name: file.name.slice(0, 200) });
    else setTrouble(kept.words);
  }
  const wrong = trouble ?? error;
  return (
    <div className="flex flex-col gap-2">
      <div className="flex flex-wrap items-center gap-3">
        <FilePicker
          accept=".csv,.txt,.tsv,.log,.dat,.asc,text/plain,text/csv"
          onFile={(file) => void take(file)}
          look={name ? 'outline' : 'solid'}
        >
          <FileUp size={18} aria-hidden="true" />
          {sending ? 'Keeping it …' : name ? 'Another file' : 'Choose the gauge’s file'}
        </FilePicker>
        {name && <span className="text-[15px] wrap-anywhere">{name}</span>}
      </div>
      {!name && (
        <p className="text-[15px] text-ink-2">
          Any export with a time and a pressure in each row: CSV or text, whatever its marks, dates and unit. It is kept
          as it came.
        </p>
      )}
      {wrong && (
        <p role="alert" className="text-[14px] font-semibold text-stop">
          {wrong}
        </p>
      )}
    </div>
  );
}
