import { number } from '../ui/number.js';
import { SERVICE_TASKS, type PumpPage } from '@winter-jar/contracts';
import { PROCEDURES, type TaskId, type TaskStanding } from '@winter-jar/core';
import { dayWords } from '../words/dates.js';
import { dueWords, limitWords, TASK_WORDS } from '../words/messages.js';
import type { Words } from '../words/words.js';
import { useQuickEntry } from '../entry/use-quick-entry.js';
import { actionOfTask, actionPath } from '../words/pump-actions.js';
import { LinkIfMay } from '../ui/may.js';
import { Button, LinkButton } from '../ui/button.js';

const SHOWN = 3;
const isWanted = ({ status }: TaskStanding): boolean => status === 'now' || status === 'reached';

/** The pump's service tasks in the order in which they will be wanted: those that are due and the next ones, the others folded away. */
export function TaskList({ page, words }: { page: PumpPage; words: Words }) {
  const { tasks } = page.standing;
  if (tasks.length === 0)
    return <p className="text-[15px] text-ink-2">Tasks count from the first entry that is logged.</p>;
  const shown = tasks.filter((task, i) => i < SHOWN || isWanted(task));
  const others = tasks.filter((task) => !shown.includes(task));
  const [next] = others;
  return (
    <>
      <ul>
        {shown.map((task) => (
          <Task key={task.task} task={task} page={page} words={words} />
        ))}
      </ul>
      {next && (
        <details>
          <summary className="flex min-h-11 cursor-pointer items-center text-[15px] text-ink-2 underline">
            {others.length === 1 ? 'One more' : `${number(others.length)} more`}: next{' '}
            {TASK_WORDS[next.task].toLowerCase()}, {dueWords(next, words)}
          </summary>
          <ul>
            {others.map((task) => (
              <Task key={task.task} task={task} page={page} words={words} />
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

/** Tasks that a service leads through. */
const LED: ReadonlySet<TaskId> = new Set(Object.values(PROCEDURES).flatMap(({ tasks }) => tasks));

/** Done here, or on its own screen; what is wanted now is led step by step too. */
function Task({ task, page, words }: { task: TaskStanding; page: PumpPage; words: Words }) {
  const { write, busy } = useQuickEntry({ subject: { type: 'pump', id: page.row.pumpId }, zone: page.row.zone });
  const action = actionOfTask(task.task);
  const leads = isWanted(task) && page.state.job === null && LED.has(task.task);
  return (
    <li className="flex items-center gap-3 border-b border-rule-soft py-1.5">
      <div className="min-w-0 flex-1">
        <p className="text-[15px]">{TASK_WORDS[task.task]}</p>
        <p className="text-[13px] text-ink-2">
          {[
            task.decides && `every ${limitWords(task.decides.measure, task.decides.limit)}`,
            task.sinceAt &&
              `${task.doneEntryId ? 'last' : 'counted from'} ${dayWords(task.sinceAt, words.zone, words.now)}`,
          ]
            .filter(Boolean)
            .join(' · ')}
        </p>
        {leads && (
          <LinkIfMay
            to={actionPath(page.row.pumpId, { action: 'jobCards', task: task.task })}
            aria-label={`Step by step: ${TASK_WORDS[task.task]}`}
            className="no-print inline-flex min-h-11 items-center text-[14px] underline underline-offset-4"
          >
            Step by step
          </LinkIfMay>
        )}
      </div>
      <span
        className={`text-right text-[14px] ${isWanted(task) ? 'font-semibold text-before-next-run' : 'text-ink-2'}`}
      >
        {dueWords(task, words)}
      </span>
      {action ? (
        <LinkButton
          to={actionPath(page.row.pumpId, { action })}
          className="no-print min-w-16 justify-center !px-2 !text-[14px]"
          aria-label={`Do: ${TASK_WORDS[task.task]}`}
        >
          Do
        </LinkButton>
      ) : (
        SERVICE_TASKS.includes(task.task) && (
          <Button
            needs="write"
            className="no-print min-w-16 justify-center !px-2 !text-[14px]"
            disabled={busy}
            aria-label={`Done: ${TASK_WORDS[task.task]}`}
            onClick={() => void write('done', { task: task.task }, `${TASK_WORDS[task.task]} done on ${page.row.name}`)}
          >
            Done
          </Button>
        )
      )}
    </li>
  );
}
