import { countOf, hours, oneOrMore, percent } from '../ui/number.js';
import type { PumpPage as Page } from '@winter-jar/contracts';
import { withOilIn, type TaskStanding } from '@winter-jar/core';
import { lazy, Suspense } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { usePumpQuery, useStoreQuery } from '../api/house-api.js';
import { dayWords } from '../words/dates.js';
import { PageTitle } from '../ui/page-title.js';
import { useLetters } from '../device/use-letters.js';
import { useNow } from '../device/use-now.js';
import { usePrint } from '../device/use-print.js';
import { useWide } from '../device/use-wide.js';
import { measureWords, usedWords, verdictWords } from '../words/messages.js';
import { SCHOOL_WORDS } from '../words/school-words.js';
import { LEAST_ROUND, meanRoundsWords } from '../words/store-words.js';
import type { Words } from '../words/words.js';
import { Actions, JarShelf, NamedJar, Reasons, StopCaution } from '../round/pump-sheet.js';
import { Running } from '../round/running.js';
import { actionPath, actionsOffered, letterKeys } from '../words/pump-actions.js';
import { LinkButton } from '../ui/button.js';
import { Loading, NotFetched } from '../ui/page-state.js';
import { PlaceNote } from '../entry/place-note.js';
import { Verdict } from '../ui/verdict.js';
import { ChargeRuler } from './charge-ruler.js';
import { EarlierCharges } from './earlier-charges.js';
import { JournalList } from './journal-list.js';
import { ForecastLine, LayUpLine, LimitsTable } from './limits-table.js';
import { FoldedSection, JumpList, Section, type SectionName } from './page-sections.js';
import { SchoolNote } from './school-note.js';
import { TaskList } from './task-list.js';
import { WaitsHere } from './waits-here.js';

/** Charts and the water balance come when the page stands. */
const ChargeStory = lazy(async () => ({ default: (await import('../oil/charge-story.js')).ChargeStory }));

const WaterSection = lazy(async () => ({ default: (await import('../water/water-section.js')).WaterSection }));
const BallastAndWhatIf = lazy(async () => ({
  default: (await import('../water/ballast-and-what-if.js')).BallastAndWhatIf,
}));

export function PumpPage() {
  const { pumpId = '' } = useParams();
  const { data: page, isError, error, refetch } = usePumpQuery(pumpId, { pollingInterval: 120_000 });
  const navigate = useNavigate();
  const print = usePrint();
  const now = useNow();
  useLetters(letterKeys((action) => void navigate(actionPath(pumpId, { action }))));
  if (isError && !page)
    return (
      <NotFetched
        what="pump"
        error={error}
        none={`No pump has the id “${pumpId}”. Choose one on the Round.`}
        onRetry={() => void refetch()}
      />
    );
  if (!page) return <Loading what="the pump" />;
  return <PumpSheets page={page} words={{ print, zone: page.row.zone, now }} />;
}

function PumpSheets({ page, words }: { page: Page; words: Words }) {
  const { row, setUp, standing } = page;
  const wide = useWide();
  const change = standing.tasks.find((t) => t.task === 'oilChange' || t.task === 'boosterOil' || t.task === 'tipSeals');
  const { model } = setUp;
  const { product } = withOilIn(setUp, page.state.sumps[0]?.charge.productId ?? null);
  const facts = [
    `${model.name}${model.stages ? `, ${model.stages === 1 ? 'single' : 'two'}-stage` : ''}, ${words.print.flow(model.pumpingSpeedM3h)}`,
    row.chargeMl && product
      ? `${words.print.volume(row.chargeMl)} of ${product.name}, ${product.waterBehaviour}`
      : null,
    product && setUp.product && product.name !== setUp.product.name ? `its set-up names ${setUp.product.name}` : null,
    useRoundsWords(page),
  ].filter(Boolean);
  return (
    <div className="flex flex-1 flex-col wide:flex-row wide:items-stretch">
      <PageTitle title={row.name} />
      <main className="min-w-0 flex-1 px-4 pb-10 pt-4 wide:px-6">
        <p className="text-[14px] text-ink-2">
          {row.siteName} ·{' '}
          <Link
            to={`/equipment/${setUp.pump.equipmentId}`}
            className="text-ink underline decoration-edge underline-offset-4"
          >
            {row.equipmentName}
          </Link>
        </p>
        <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
          <h1 dir="auto" className="figure max-w-full min-w-0 text-[26px] wrap-anywhere">
            {row.name}
          </h1>
          <p className="text-[15px]">{facts.join(' · ')}</p>
          <p className="text-[14px] text-ink-2 wide:ml-auto">{hoursWords(page)}</p>
        </div>
        <WaitsHere page={page} />
        <PlaceNote pumpId={row.pumpId} place={row.place} />
        <CompleteFrom page={page} words={words} />
        {!wide && <Standing page={page} words={words} />}
        <PumpLinks row={row} />
        <JumpList sections={sectionsOf(row)} />
        <div id="now" className="scroll-mt-16">
          <ChargeRuler page={page} words={words} />
        </div>
        <div className="grid gap-x-8 wide:grid-cols-2">
          <Section id="next" title="Next">
            <LayUpLine layUp={standing.layUp} />
            {change && <ForecastLine task={change} usage={standing.usage} words={words} />}
            <TaskList page={page} words={words} />
          </Section>
          {row.kind === 'vane' && (
            <Section id="water" title="Water">
              <Suspense fallback={<p className="text-[15px] text-ink-2">Calculating …</p>}>
                <WaterSection page={page} words={words} />
              </Suspense>
            </Section>
          )}
        </div>
        <div className="mt-6 border-t border-rule">
          {change && (
            <FoldedSection id="limits" title="What decides next" says={decidesWords(change, page)}>
              <LimitsTable change={change} words={words} />
              <SchoolNote page={page} />
            </FoldedSection>
          )}
          {row.kind === 'vane' && (
            <>
              <FoldedSection
                id="story"
                title="Story of the charge"
                says="colour and water of each look, beside the charges before"
              >
                <Suspense fallback={<p className="text-[15px] text-ink-2">Fetching the story …</p>}>
                  <ChargeStory page={page} words={words} />
                </Suspense>
              </FoldedSection>
              <FoldedSection
                id="ballast"
                title="Ballast, what if"
                says="what the gas ballast carries off; another trap, a longer run"
              >
                <Suspense fallback={<p className="text-[15px] text-ink-2">Calculating …</p>}>
                  <BallastAndWhatIf page={page} words={words} />
                </Suspense>
              </FoldedSection>
              {page.earlier.length > 0 && (
                <FoldedSection id="earlier" title="Earlier charges" says={earlierWords(page)}>
                  <EarlierCharges page={page} words={words} />
                </FoldedSection>
              )}
            </>
          )}
        </div>
        <Section id="journal" title="Journal">
          <JournalList page={page} words={words} />
        </Section>
      </main>
      {wide && (
        <aside className="w-[380px] shrink-0 border-l border-rule bg-sheet">
          <div className="sticky top-0 max-h-dvh overflow-auto p-6">
            {row.kind === 'vane' && <NamedJar row={row} words={words} width={108} />}
            <Standing page={page} words={words} />
            {row.kind === 'vane' && (
              <div className="mt-5">
                <h2 className="mb-2 text-[18px]">Last jars</h2>
                <JarShelf row={row} words={words} />
              </div>
            )}
          </div>
        </aside>
      )}
    </div>
  );
}

/** What the page has of a pump, in order. */
const sectionsOf = ({ kind }: Page['row']): SectionName[] => [
  { id: 'now', title: 'Now' },
  ...(kind === 'vane' ? [{ id: 'water', title: 'Water' }] : []),
  { id: 'limits', title: 'Limits' },
  ...(kind === 'vane'
    ? [
        { id: 'story', title: 'Story' },
        { id: 'ballast', title: 'Ballast, what if' },
        { id: 'earlier', title: 'Earlier charges' },
      ]
    : []),
  { id: 'journal', title: 'Journal' },
];

const decidesWords = ({ decides }: TaskStanding, { setUp }: Page): string =>
  [decides && `${measureWords(decides.measure)}: ${usedWords(decides)}`, SCHOOL_WORDS[setUp.pump.preset]]
    .filter(Boolean)
    .join(' · ');

function earlierWords({ earlier }: Page): string {
  const [last] = earlier;
  const ended = last ? `, the last after ${countOf(last.runs, 'run')} and ${hours(last.hours)}` : '';
  return `${earlier.length === 1 ? 'one' : `the last ${earlier.length}`}${ended}`;
}

/** Running hours: what was logged, what only the meter knows, and where the log is ahead of it. */
function hoursWords({ state, standing }: Page): string {
  const { minutes, unloggedMinutes } = state.totals;
  const hoursOf = (said: number) => hours(said / 60);
  return [
    `${hoursOf(minutes - unloggedMinutes)} logged`,
    state.meter && `meter ${hoursOf(state.meter.minutes)}`,
    standing.unloggedMinutes > 0 && `${hoursOf(standing.unloggedMinutes)} of this charge not logged`,
    (state.meter?.aheadMinutes ?? 0) > 24 * 60 && `log ${hoursOf(state.meter?.aheadMinutes ?? 0)} ahead of the meter`,
  ]
    .filter(Boolean)
    .join(' · ');
}

function PumpLinks({ row }: { row: Page['row'] }) {
  return (
    <p className="no-print -ml-2 flex flex-wrap gap-x-2">
      {actionsOffered(row, 'link').map(({ id, words, short = words }) => (
        <LinkButton key={id} look="plain" to={actionPath(row.pumpId, { action: id })} className="!px-2 !text-[14px]">
          {short}
        </LinkButton>
      ))}
      <LinkButton look="plain" to={`/set-up/pump/${row.pumpId}`} className="!px-2 !text-[14px]">
        Set-up
      </LinkButton>
    </p>
  );
}

/** Verdict, why, and the one right action; on a phone the action stands within the first screen. */
function Standing({ page: { row }, words }: { page: Page; words: Words }) {
  const wide = useWide();
  return (
    <div className="flex flex-col gap-4 py-4">
      <Verdict level={row.verdict} words={verdictWords(row.verdict, row.act)} size="large" />
      {row.verdict === 'stop' && <StopCaution />}
      <Running row={row} words={words} />
      {wide ? (
        <>
          <Reasons row={row} words={words} />
          <Actions row={row} />
        </>
      ) : (
        <>
          <Actions row={row} />
          <Reasons row={row} words={words} />
        </>
      )}
    </div>
  );
}

/** Of used oil that was filled in from the shelf: how often it has been round, and how much of it is new. */
function useRoundsWords({ row, setUp }: Page): string | null {
  const { data: store } = useStoreQuery(undefined, { skip: Object.keys(setUp.house.container).length === 0 });
  const oil = store?.sumps.find(({ pumpId, sump }) => pumpId === row.pumpId && sump === 'oil');
  if (!oil || oil.meanRounds < LEAST_ROUND) return null;
  return `${meanRoundsWords(oil.meanRounds, oil.worstRounds)}, ${percent(oil.newShare)} of it new`;
}

/** From when on the record knows everything; of before, what somebody told and what was logged since. */
function CompleteFrom({ page, words }: { page: Page; words: Words }) {
  const { takenOver } = page.state;
  if (!takenOver) return null;
  return (
    <p className="text-[14px] text-ink-2">
      The record is complete from {dayWords(takenOver.at, words.zone, words.now)}, when it was taken over.
      {takenOver.runs !== null &&
        takenOver.onlyTold &&
        ` ${oneOrMore(takenOver.runs, 'run')} on its oil had been counted by then.`}
    </p>
  );
}
