import { useParams, useSearchParams } from 'react-router';
import { useContainerQuery } from '../api/house-api.js';
import { JournalEntryLine } from '../entry/journal-entry-line.js';
import { LinkButton } from '../ui/button.js';
import { PageHead } from '../ui/page-head.js';
import { Empty, Loading, NotFetched } from '../ui/page-state.js';
import { PageTitle } from '../ui/page-title.js';
import { ContainerSheet } from './container-sheet.js';
import { WithStore } from './store-screen.js';

/** A container with all that was ever poured into it and out of it. */
export function ContainerPage() {
  const { containerId = '' } = useParams();
  const [search] = useSearchParams();
  const before = search.get('before');
  const { data, isError, error, refetch } = useContainerQuery({ containerId, ...(before ? { before } : {}) });
  if (isError && !data)
    return (
      <NotFetched
        what="container"
        error={error}
        none={`No container has the id “${containerId}”. Choose one in the oil store.`}
        onRetry={() => void refetch()}
      />
    );
  if (!data) return <Loading what="the container" />;
  const { container, journal } = data;
  return (
    <WithStore>
      {(props) => (
        <main className="mx-auto w-full max-w-[1080px] px-4 pb-10 pt-4 wide:px-6">
          <PageTitle title={container.container.name} />
          <PageHead back={`/store?at=${containerId}`} backWords="Back to the oil store">
            {container.container.name}
          </PageHead>
          <div className="mt-4 grid gap-8 wide:grid-cols-[340px_minmax(0,1fr)]">
            <ContainerSheet one={container} {...props} />
            <section>
              <h2 className="mb-1 text-[20px]">Journal</h2>
              {journal.lines.length === 0 && (
                <Empty inside title="Nothing yet">
                  Bring oil in, or drain a pump into it.
                </Empty>
              )}
              <ol>
                {journal.lines.map((line) => (
                  <JournalEntryLine key={line.entry.id} line={line} house={props.house} words={props.words} />
                ))}
              </ol>
              <div className="no-print mt-3 flex gap-3">
                {journal.before && <LinkButton to={`?before=${journal.before}`}>Older entries</LinkButton>}
                {before && <LinkButton to="?">The newest entries</LinkButton>}
              </div>
            </section>
          </div>
        </main>
      )}
    </WithStore>
  );
}
