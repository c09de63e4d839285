import type { ImportName, LogImportAnswer } from '@winter-jar/contracts';
import { useEffect, useState } from 'react';
import { useDispatch } from 'react-redux';
import { useSearchParams } from 'react-router';
import {
  useBeginLogImportMutation,
  useCancelLogImportMutation,
  useLogImportQuery,
  useUndoLogImportMutation,
  useWriteLogImportMutation,
  houseApi,
  ALL_TAGS,
} from '../api/house-api.js';

const MAX_MB = 200;
const LOOK_EVERY_MS = 250;
const UNDO_REFUSED =
  'It cannot be undone as a whole any more: an entry of it was corrected since. Take its entries back one by one, in the journal of their pumps.';
const GOES_ON: readonly string[] = ['reading', 'writing', 'takingBack'];

/** The import of a log file as the page shows it. It goes on by itself on the server; which one it is stands in the address. */
export function useLogImport(log: ImportName) {
  const [params, setParams] = useSearchParams();
  const [begin, beginning] = useBeginLogImportMutation();
  const [write, writing] = useWriteLogImportMutation();
  const [cancel, cancelling] = useCancelLogImportMutation();
  const [undo, undoing] = useUndoLogImportMutation();
  const [trouble, setTrouble] = useState<string | null>(null);
  const [waits, setWaits] = useState(false);
  const dispatch = useDispatch();
  const id = params.get('import') ?? '';
  const asked = useLogImportQuery(id, { skip: id === '', pollingInterval: waits ? LOOK_EVERY_MS : 0 });
  const answer: LogImportAnswer | null = id !== '' && asked.currentData?.log === log ? asked.currentData : null;

  const goesOn = answer !== null && GOES_ON.includes(answer.state);
  useEffect(() => setWaits(goesOn), [goesOn]);
  const isDone = answer?.state === 'done' || answer?.state === 'undone';
  useEffect(() => {
    if (isDone) dispatch(houseApi.util.invalidateTags([...ALL_TAGS]));
  }, [isDone, dispatch]);

  const clear = () => setParams({}, { replace: true });
  return {
    fileName: params.get('file') ?? 'The file',
    answer,
    sending: beginning.isLoading,
    busy: writing.isLoading || cancelling.isLoading || undoing.isLoading,
    trouble:
      trouble ??
      (id !== '' && asked.isError ? 'The server does not know this import any more. Choose the file again.' : null),
    clear,
    /** Takes back all that was written. */
    async undo() {
      setTrouble(null);
      const { error } = await undo(id);
      if (error) setTrouble(UNDO_REFUSED);
      else setWaits(true);
    },
    /** Drops what was found, and shows the page as it was. */
    leave() {
      void cancel(id);
      clear();
    },
    async choose(file: File) {
      setTrouble(null);
      clear();
      if (file.size > MAX_MB * 1e6)
        return setTrouble(`${file.name} is larger than ${MAX_MB} MB. Cut it into parts; each row stands for itself.`);
      const { data } = await begin({ log, logText: file as unknown as string });
      if (data) setParams({ import: data.id, file: file.name }, { replace: true });
      else setTrouble('The server does not answer, or the file cannot be read. Nothing was imported; try again.');
    },
    async take(goodRowsOnly: boolean) {
      setTrouble(null);
      const { error } = await write({ id, writeLogImport: { goodRowsOnly } });
      if (error) setTrouble('The server did not begin to write. Nothing was imported; try again.');
      else setWaits(true);
    },
    async stop() {
      await cancel(id);
    },
  };
}
