import type { RoundRow } from '@winter-jar/contracts';
import { CAUTIONS, type NotTold, type Reason } from '@winter-jar/core';
import { dayWords, momentWords } from '../words/dates.js';
import { stoodWords } from '../words/entry-words.js';
import { jarNow, jarWords, layerWords, NOT_LOOKED_AT, waterWords } from '../words/jar-words.js';
import { dueWords, reasonKey, reasonWords, TASK_WORDS, verdictWords } from '../words/messages.js';
import type { Words } from '../words/words.js';
import {
  actionPath,
  actionsOffered,
  correctPath,
  letterOf,
  rightAction,
  rightOfAnswer,
  serviceOf,
} from '../words/pump-actions.js';
import { LinkButton } from '../ui/button.js';
import { Caution } from '../ui/caution.js';
import { layersOf } from '../ui/jar-layout.js';
import { LinkIfMay, useMayDo, useMayOpen } from '../ui/may.js';
import { useDoor } from '../device/use-door.js';
import { Jar } from '../ui/jar.js';
import { Verdict } from '../ui/verdict.js';
import { Running } from './running.js';

/** The right action, then what else can be done on such a pump. */
export function Actions({ row }: { row: RoundRow }) {
  const { words, ...right } = rightAction(row);
  const door = useDoor();
  const isAsked = Boolean(door?.tablet) && door?.who === null;
  const mayDo = useMayDo();
  const mayOpen = useMayOpen();
  const to = actionPath(row.pumpId, right);
  const mayAnswer = mayOpen(to) && mayDo(rightOfAnswer(row));
  const service = serviceOf(row);
  const mayServe = service !== null && mayDo(service.needs);
  const others = actionsOffered(row, 'sheet').filter(({ id }) => id !== right.action);
  return (
    <div className="no-print grid grid-cols-2 gap-2">
      {mayAnswer && (
        <LinkButton
          to={to}
          look={row.running.length > 0 ? 'outline' : 'solid'}
          letter={letterOf(right.action)}
          className="col-span-2 min-h-12"
        >
          {words}
        </LinkButton>
      )}
      {mayServe && (
        <LinkButton to={service.path} look={mayAnswer ? 'outline' : 'solid'} className="col-span-2 min-h-11">
          Step by step, beside the pump
        </LinkButton>
      )}
      {row.act !== null && !mayAnswer && !mayServe && (
        <p className="col-span-2 border-l-4 border-ink pl-3">
          <span className="font-semibold">{words}:</span>{' '}
          {isAsked ? 'say above who you are first.' : 'your role does not do this. Tell a technician.'}
        </p>
      )}
      {others.map(({ id, words: said, short = said, letter }, i) => (
        <LinkButton
          key={id}
          to={actionPath(row.pumpId, { action: id })}
          letter={letter}
          className={`min-h-11 ${i === others.length - 1 && i % 2 === 0 ? 'col-span-2' : ''}`}
        >
          {short}
        </LinkButton>
      ))}
    </div>
  );
}

/** What Stop means when a load is under vacuum. */
export function StopCaution() {
  return <Caution>{CAUTIONS.stop}</Caution>;
}

/** The way to say what is missing, for each entry. */
function Untold({ pumpId, entries, words }: { pumpId: string; entries: readonly NotTold[]; words: Words }) {
  return (
    <span className="flex flex-wrap gap-x-4">
      {entries.map(({ entryId, at, kind }) => (
        <LinkIfMay
          key={entryId}
          to={correctPath(pumpId, { kind, id: entryId, subjects: [] })}
          className="inline-flex min-h-11 items-center underline underline-offset-4"
        >
          Tell the {kind} of {momentWords(at, words.zone, words.now)}
        </LinkIfMay>
      ))}
      {entries.filter(({ kind }) => kind === 'run').length > 1 && (
        <LinkIfMay to="/untold" className="inline-flex min-h-11 items-center underline underline-offset-4">
          All that is not told
        </LinkIfMay>
      )}
    </span>
  );
}

/** The worst come first; every one of a Stop is shown. */
const REASONS_SHOWN = 3;

export function Reasons({ row, words }: { row: Pick<RoundRow, 'pumpId' | 'reasons' | 'nextTask'>; words: Words }) {
  if (row.reasons.length === 0) {
    return (
      <p className="text-[15px]">
        Nothing speaks against the next run.
        {row.nextTask ? ` Next: ${TASK_WORDS[row.nextTask.task].toLowerCase()}, ${dueWords(row.nextTask, words)}.` : ''}
      </p>
    );
  }
  const shown = row.reasons.filter((reason, i) => i < REASONS_SHOWN || reason.level === 'stop');
  const others = row.reasons.filter((reason) => !shown.includes(reason));
  return (
    <div className="text-[15px] leading-6">
      <ul className="list-disc pl-5">
        {shown.map((reason) => (
          <OneReason key={reasonKey(reason)} reason={reason} pumpId={row.pumpId} words={words} />
        ))}
      </ul>
      {others.length > 0 && (
        <details>
          <summary className="flex min-h-11 cursor-pointer items-center underline underline-offset-4">
            {others.length === 1 ? 'One more reason' : `${others.length} more reasons`}
          </summary>
          <ul className="list-disc pl-5">
            {others.map((reason) => (
              <OneReason key={reasonKey(reason)} reason={reason} pumpId={row.pumpId} words={words} />
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}

function OneReason({ reason, pumpId, words }: { reason: Reason; pumpId: string; words: Words }) {
  return (
    <li className="mt-1 first:mt-0 first:font-semibold">
      {reasonWords(reason, words).full}
      {reason.code === 'unsettled' && (
        <LinkIfMay to="/unsettled" className="flex min-h-11 w-fit items-center underline underline-offset-4">
          Settle
        </LinkIfMay>
      )}
      {reason.code === 'notTold' && <Untold pumpId={pumpId} entries={reason.entries} words={words} />}
    </li>
  );
}

/** The last jars of a pump, oldest first. */
export function JarShelf({ row, words }: { row: Pick<RoundRow, 'jars' | 'chargeMl' | 'zone'>; words: Words }) {
  if (row.jars.length === 0)
    return <p className="text-[14px] text-ink-2">No jar yet. The first look at the oil puts one here.</p>;
  return (
    <ul className="flex flex-wrap gap-5">
      {row.jars.map((jar) => (
        <li key={jar.entryId} className="text-center text-[13px]">
          <span className="inline-block">
            <Jar
              layers={layersOf(jar, row.chargeMl)}
              width={38}
              label={`${dayWords(jar.at, row.zone, words.now)}: ${jarWords(jar, row.chargeMl, words.print)}`}
            />
          </span>
          <span className="figure block">{waterWords(jar, words.print)}</span>
          <span className="block text-ink-2">{dayWords(jar.at, row.zone, words.now)}</span>
        </li>
      ))}
    </ul>
  );
}

/** The last jar, large, with its layers named beside it. */
export function NamedJar({
  row,
  words,
  width,
}: {
  row: Pick<RoundRow, 'jars' | 'chargeMl' | 'zone' | 'oilChangedAt'>;
  words: Words;
  width: number;
}) {
  const jar = jarNow(row);
  const layers = layersOf(jar, row.chargeMl).filter((l) => l.ml > 0);
  return (
    <div className="flex items-end gap-5">
      <Jar layers={layers} width={width} label={jarWords(jar, row.chargeMl, words.print)} />
      <div className="min-w-0 pb-1 text-[14px] leading-6">
        {[...layers].reverse().map((l) => (
          <span key={l.kind} className="block">
            {layerWords(l.kind, jar)} <span className="figure">{words.print.volume(l.ml)}</span>
          </span>
        ))}
        {jar ? (
          <span className="block text-ink-2">
            {
              { sightGlass: 'sight glass', sample: 'sample', drained: 'drained', bleed: 'bled', change: 'drained' }[
                jar.source
              ]
            }{' '}
            {dayWords(jar.at, row.zone, words.now)}
            {jar.hoursStood ? `, stood ${stoodWords(jar.hoursStood)}` : ''}
            {jar.source === 'change' && ': not looked at yet'}
          </span>
        ) : (
          <span className="block text-ink-2">{NOT_LOOKED_AT}</span>
        )}
      </div>
    </div>
  );
}

/** The selected pump beside the Round: verdict, reasons in full, the one right action, the last jars. */
export function PumpSheet({ row, words }: { row: RoundRow; words: Words }) {
  return (
    <section aria-label={`${row.name}, selected`} className="flex flex-col gap-4 p-6">
      <div>
        <h2 className="figure text-[20px] font-bold">
          <LinkButton look="plain" to={`/pumps/${row.pumpId}`} className="!min-h-0 !px-0 !text-[20px]">
            {row.name}
          </LinkButton>
        </h2>
        <p className="text-[14px] text-ink-2">
          {row.modelName} · {row.siteName} · {row.equipmentName}
        </p>
      </div>
      {row.kind === 'vane' && <NamedJar row={row} words={words} width={92} />}
      <Verdict level={row.verdict} words={verdictWords(row.verdict, row.act)} size="large" />
      {row.verdict === 'stop' && <StopCaution />}
      <Running row={row} words={words} />
      <Reasons row={row} words={words} />
      <Actions row={row} />
      {row.kind === 'vane' && (
        <div>
          <h3 className="mb-2 text-[18px]">Last jars</h3>
          <JarShelf row={row} words={words} />
        </div>
      )}
    </section>
  );
}
