import type { PumpPage } from '@winter-jar/contracts';
import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import { usePumpQuery } from '../api/house-api.js';
import { Loading, Trouble } from '../ui/page-state.js';

/** What is printed of the pump in the address, once it is here. */
export function OfPump({ children }: { children: (page: PumpPage) => ReactNode }) {
  const { pumpId = '' } = useParams();
  const { data, isError, refetch } = usePumpQuery(pumpId);
  if (isError && !data)
    return (
      <Trouble title="The pump could not be fetched" onRetry={() => void refetch()}>
        There is no such pump, or the server does not answer.
      </Trouble>
    );
  return data ? children(data) : <Loading what="the pump" />;
}
