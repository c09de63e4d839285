import type { PumpPage } from '@winter-jar/contracts';
import {
  mayNot,
  personKind,
  ridersAt,
  rightOfEntry,
  serviceAt,
  timesFor,
  type ProcedureId,
  type TaskStanding,
} from '@winter-jar/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useServiceTimesQuery } from '../api/house-api.js';
import { useWriterId } from '../device/use-door.js';
import { usePrint } from '../device/use-print.js';
import { Button } from '../ui/button.js';
import { useMayDo } from '../ui/may.js';
import { Tick } from '../ui/tick.js';
import { dueWords } from '../words/messages.js';
import { procedureName } from '../words/procedure-words.js';
import type { Words } from '../words/words.js';
import { lastsWords, MAY_NOT_WORDS, ownWords, SKILL_WORDS } from './step-words.js';

const WANTED: readonly TaskStanding['status'][] = ['now', 'reached', 'withinNextRun'];

/** A task of a procedure that is wanted now; undefined where none is. */
export const wantedOf = (tasks: readonly string[], { standing }: PumpPage): TaskStanding | undefined =>
  standing.tasks.find(({ task, status }) => tasks.includes(task) && WANTED.includes(status));

/** What of the same visit is wanted too. */
export function ridersWanted(id: ProcedureId, page: PumpPage): ProcedureId[] {
  const { state, setUp } = page;
  return ridersAt(id, state, setUp).filter((rider) => wantedOf(serviceAt(rider, state, setUp).procedure.tasks, page));
}

/** A service of a pump, started here or printed as a card, with what is done in the same visit. */
export function ServiceRow({
  id,
  page,
  words,
  first,
  busy,
  onStart,
}: {
  id: ProcedureId;
  page: PumpPage;
  words: Words;
  /** It is what was asked for. */
  first: boolean;
  busy: boolean;
  onStart: (others: readonly ProcedureId[]) => void;
}) {
  const { row, state, setUp } = page;
  const print = usePrint();
  const who = useWriterId();
  const { data: times } = useServiceTimesQuery();
  const riders = ridersAt(id, state, setUp);
  const mayDo = useMayDo();
  const needs = rightOfEntry('jobStarted', { procedure: id });
  const [others, setOthers] = useState<readonly ProcedureId[]>(() => ridersWanted(id, page));
  const name = procedureName(id);
  const { procedure, ...lasts } = serviceAt(id, state, setUp, others);
  const barred = mayNot(procedure, setUp.house, who);
  const kind = personKind(setUp.house.person[who ?? '']);
  const own = timesFor(times?.times ?? [], { procedure: id, modelId: setUp.pump.modelId, kind });
  const apart = [id, ...others].reduce((sum, one) => {
    const { handsMinutes, waitMinutes } = serviceAt(one, state, setUp);
    return sum + handsMinutes + waitMinutes;
  }, 0);
  const saved = apart - lasts.handsMinutes - lasts.waitMinutes;
  const query = others.length > 0 ? `?with=${others.join(',')}` : '';
  return (
    <li className="border-b border-rule-soft py-2">
      <div className="flex items-center gap-4">
        <span className="min-w-0 flex-1">
          <span className="block font-semibold">{name}</span>
          <span className="block text-[14px] text-ink-2">
            {lastsWords(lasts)}
            {others.length > 0 ? `, ${print.duration(saved)} less than one by one` : ownWords(own)} ·{' '}
            {SKILL_WORDS[procedure.skill]}
          </span>
          <Link
            to={`/pumps/${row.pumpId}/job-cards/${id}${query}`}
            aria-label={`Card: ${name}`}
            className="inline-flex min-h-11 items-center text-[15px] underline underline-offset-4"
          >
            Card on paper
          </Link>
        </span>
        {barred ? (
          <span className="max-w-32 text-[14px] sm:max-w-56 text-ink-2">{MAY_NOT_WORDS[barred]}</span>
        ) : (
          <Button
            needs={needs}
            size="field"
            look={first ? 'solid' : 'outline'}
            disabled={busy}
            aria-label={`Start: ${name}`}
            onClick={() => onStart(others)}
          >
            Start
          </Button>
        )}
      </div>
      {riders.length > 0 && mayDo(needs) && (
        <div role="group" aria-label={`In the same visit as: ${name}`} className="flex flex-wrap gap-x-6 text-[15px]">
          {riders.map((rider) => {
            const due = wantedOf(serviceAt(rider, state, setUp).procedure.tasks, page);
            const label = `with ${procedureName(rider).toLowerCase()}${due ? `, ${dueWords(due, words)}` : ''}`;
            return (
              <Tick
                key={rider}
                label={label}
                ticked={others.includes(rider)}
                onTick={(on) => setOthers(riders.filter((one) => (one === rider ? on : others.includes(one))))}
              />
            );
          })}
        </div>
      )}
    </li>
  );
}
