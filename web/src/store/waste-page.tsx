import { Link } from 'react-router';
import { useWasteQuery } from '../api/house-api.js';
import { LinkButton } from '../ui/button.js';
import { Caution } from '../ui/caution.js';
import { Empty, Loading, Trouble } from '../ui/page-state.js';
import { PageHead } from '../ui/page-head.js';
import { PageTitle } from '../ui/page-title.js';
import { dayWords } from '../words/dates.js';
import { WASTE_WORDS } from '../words/store-words.js';
import { WithStore } from './store-screen.js';

/** What waste stands here, and what carriers took, year by year. */
export function WastePage() {
  const { data, isError, refetch } = useWasteQuery();
  if (isError && !data)
    return (
      <Trouble title="The waste record could not be fetched" onRetry={() => void refetch()}>
        The server does not answer.
      </Trouble>
    );
  if (!data) return <Loading what="the waste record" />;
  const years = [...new Set(data.lines.map(({ at }) => at.slice(0, 4)))];
  return (
    <WithStore>
      {({ store, house, words }) => {
        const waiting = store.containers.filter((c) => c.container.wasteKind);
        const volumeOf = (l: (typeof data.lines)[number]) => l.oilMl + l.waterMl + l.creamMl + l.sludgeMl;
        return (
          <main className="mx-auto w-full max-w-[880px] px-4 pb-10 pt-4 wide:px-6">
            <PageTitle title="Waste record" />
            <PageHead back="/store">Waste record</PageHead>
            <section className="mt-4">
              <h2 className="text-[20px]">Stands here</h2>
              {waiting.length === 0 && (
                <Empty inside title="No container for waste yet">
                  Say in the set-up of a can or drum what waste it is for: used oil, oil with solvent, PFPE, chlorinated
                  oil, oily solids, water with oil. Each kind is kept apart.
                </Empty>
              )}
              <ul className="mt-1">
                {waiting.map(({ id, container, shelf }) => (
                  <li
                    key={id}
                    className="flex flex-wrap items-center justify-between gap-3 border-b border-rule-soft py-2"
                  >
                    <span className="wrap-anywhere">
                      <Link to={`/store?at=${id}`} className="font-semibold text-ink">
                        {container.name}
                      </Link>
                      {container.wasteKind && `, ${WASTE_WORDS[container.wasteKind]}: `}
                      <span className="figure">
                        {words.print.volume(shelf.heldMl)} of {words.print.volume(container.holdsMl)}
                      </span>
                      {shelf.full && <span className="ml-2 font-semibold text-before-next-run">full</span>}
                    </span>
                    {shelf.heldMl > 0 && <LinkButton to={`/store/${id}/pour`}>A carrier took it</LinkButton>}
                  </li>
                ))}
              </ul>
              <div className="mt-4">
                <Caution>
                  Waste oil is regulated: it leaves by a licensed carrier, never into drains or soil. PFPE and
                  chlorinated oil stay apart from all other; oily rags in a lidded metal bin.
                </Caution>
              </div>
            </section>
            {years.map((year) => {
              const lines = data.lines.filter(({ at }) => at.startsWith(year));
              const sum = lines.reduce((s, l) => s + volumeOf(l), 0);
              return (
                <section key={year} className="mt-6">
                  <h2 className="text-[20px]">
                    {year}: {words.print.volume(sum)} collected
                  </h2>
                  <ul className="mt-1">
                    {lines.map((line) => {
                      const kind = house.container[line.containerId]?.wasteKind;
                      return (
                        <li
                          key={line.entryId}
                          className="flex flex-wrap items-center justify-between gap-3 border-b border-rule-soft py-2 text-[15px]"
                        >
                          <span className="wrap-anywhere">
                            {dayWords(line.at, line.zone, words.now)} ·{' '}
                            {house.container[line.containerId]?.name ?? line.containerId}
                            {kind && `, ${WASTE_WORDS[kind]}`} ·{' '}
                            <span className="figure">{words.print.volume(volumeOf(line))}</span>
                            {line.carrier && ` · ${line.carrier}`}
                            {line.noteNumber && ` · note ${line.noteNumber}`}
                          </span>
                          <LinkButton to={`/store/waste/${line.entryId}`}>Its note</LinkButton>
                        </li>
                      );
                    })}
                  </ul>
                </section>
              );
            })}
          </main>
        );
      }}
    </WithStore>
  );
}
