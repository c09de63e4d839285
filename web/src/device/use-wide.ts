import { useSyncExternalStore } from 'react';

const QUERY = '(min-width: 72rem)';

/** True where the sheet fits beside the Round. */
export const useWide = (): boolean =>
  useSyncExternalStore(
    (changed) => {
      const query = matchMedia(QUERY);
      query.addEventListener('change', changed);
      return () => query.removeEventListener('change', changed);
    },
    () => matchMedia(QUERY).matches,
  );
