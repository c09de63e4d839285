import type { DownloadAnswer, DownloadName } from '@winter-jar/contracts';
import { useEffect, useState } from 'react';
import { useBeginDownloadMutation, useDownloadQuery, useStopDownloadMutation } from '../api/house-api.js';

const LOOK_EVERY_MS = 250;

const PROBLEMS: Readonly<Record<NonNullable<DownloadAnswer['problem']>, string>> = {
  diskFull: 'The server’s disk is full: the file could not be made. Nothing was changed.',
  dataReplaced: 'Other data were put in place meanwhile, so it was stopped. Ask for the file again.',
  internal: 'The server could not make the file. Nothing was changed; its own log says more.',
};

const troubleOf = (status: unknown): string =>
  status === 429
    ? 'Several files are being made already. Wait a moment, then ask again.'
    : 'The server does not answer. Nothing was made; try again.';

/** The browser takes it from here: the address gives the file once. */
function handOver({ id, fileName }: DownloadAnswer): void {
  const link = document.createElement('a');
  link.href = `/api/downloads/${id}/file`;
  link.download = fileName;
  link.click();
}

/** A file that the server makes beside its other work: asked for, waited for, given to the browser. */
export function useDownload(what: DownloadName) {
  const [begin, beginning] = useBeginDownloadMutation();
  const [askStop] = useStopDownloadMutation();
  const [id, setId] = useState<string | null>(null);
  const [handedOver, setHandedOver] = useState<DownloadAnswer | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const asked = useDownloadQuery(id ?? '', { skip: id === null, pollingInterval: LOOK_EVERY_MS });
  const answer = id === null ? null : (asked.currentData ?? null);

  useEffect(() => {
    if (asked.isError && id !== null) {
      setTrouble(troubleOf(null));
      setId(null);
    } else if (answer && answer.state !== 'preparing') {
      if (answer.state === 'ready') {
        handOver(answer);
        setHandedOver(answer);
      } else if (answer.problem) setTrouble(PROBLEMS[answer.problem]);
      setId(null);
    }
  }, [answer, asked.isError, id]);

  return {
    busy: beginning.isLoading || id !== null,
    /** While it is made. */
    progress: answer?.state === 'preparing' ? answer.progress : null,
    handedOver,
    trouble,
    ask: async () => {
      setTrouble(null);
      setHandedOver(null);
      const { data, error } = await begin({ what });
      if (data) setId(data.id);
      else setTrouble(troubleOf((error as { status?: unknown } | undefined)?.status));
    },
    stop: () => {
      if (id !== null) void askStop(id);
      setId(null);
    },
  };
}
