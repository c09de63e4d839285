import type { DiagnosisAnswer } from '@winter-jar/contracts';
import type { ReactNode } from 'react';
import { useDiagnosisQuery } from '../api/house-api.js';
import { WithPump, type EntryPageProps } from '../entry/entry-page.js';
import { Empty, Loading, Trouble } from '../ui/page-state.js';

export interface CaseProps extends EntryPageProps {
  readonly answer: DiagnosisAnswer;
}

/** Fetches the pump and its case for a screen about it. */
export function WithCase({ children }: { children: (props: CaseProps) => ReactNode }) {
  return <WithPump needsOil>{(props) => <Fetched {...props}>{children}</Fetched>}</WithPump>;
}

function Fetched({ children, ...props }: EntryPageProps & { children: (props: CaseProps) => ReactNode }) {
  const { data, isError, refetch } = useDiagnosisQuery({ pumpId: props.page.row.pumpId });
  if (isError && !data)
    return (
      <Trouble title="The case could not be fetched" onRetry={() => void refetch()}>
        The server does not answer. What you typed before is kept on this device.
      </Trouble>
    );
  if (!data) return <Loading what="the case" />;
  return children({ ...props, answer: data });
}

export const backTo = (pumpId: string) => ({ path: `/pumps/${pumpId}/what-is-wrong`, words: 'What is wrong?' });

export function NoCase({ page, children }: Pick<EntryPageProps, 'page'> & { children: string }) {
  return (
    <main>
      <Empty title={`No such case on ${page.row.name}`}>{children}</Empty>
    </main>
  );
}
