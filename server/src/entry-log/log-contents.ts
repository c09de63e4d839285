import type { LogContents, LogName } from '@winter-jar/contracts';
import { houseSeen, subjectsOf, type Sight } from '@winter-jar/core';
import { SetUpStore } from '../journal/set-up-store.js';
import type { Job, JobTools } from '../work/job.js';
import { isOfContainers, kindOf, seenInLog } from './log-files.js';

const MONTHS = 12;

interface Asked {
  readonly log: LogName;
  /** Of whoever asks. */
  readonly sight: Sight;
}
interface Counted {
  /** Or a container. */
  readonly pumpId: string;
  readonly month: string;
  readonly n: number;
}

/** What a log holds of what somebody sees, by pump or container and month. */
export const LOG_CONTENTS_JOB: Job<Asked, LogContents> = {
  name: 'what a log holds',
  lane: 'screen',
  run(tools, { log, sight }) {
    const { entries, counted } = sight === null ? whole(tools, log) : seen(tools, log, sight);
    const months = [...new Set(counted.map(({ month }) => month))].sort().reverse().slice(0, MONTHS);
    const ofPump = new Map<string, { entries: number; byMonth: number[] }>();
    for (const { pumpId, month, n } of counted) {
      const pump = ofPump.get(pumpId) ?? { entries: 0, byMonth: months.map(() => 0) };
      pump.entries += n;
      const at = months.indexOf(month);
      if (at >= 0) pump.byMonth[at] = n;
      ofPump.set(pumpId, pump);
    }
    return { entries, months, pumps: [...ofPump].map(([pumpId, pump]) => ({ pumpId, ...pump })) };
  },
};

/** What is poured from one container into another stands at both, and is one entry. */
const whole = ({ sql }: JobTools, log: LogName): { entries: number; counted: readonly Counted[] } => ({
  entries: sql.countOfKind.get(kindOf(log))?.n ?? 0,
  counted: sql.countedByMonth.all(kindOf(log)),
});

/** As its file would hold it: of a pump that moved those of the months that it stood there. */
function seen(tools: JobTools, log: LogName, sight: Sight): { entries: number; counted: readonly Counted[] } {
  const store = new SetUpStore();
  store.reload(tools.sql);
  const { book } = store;
  const type = isOfContainers(log) ? 'container' : 'pump';
  const counted = new Map<string, Counted>();
  let entries = 0;
  for (const entry of seenInLog(tools, log, sight, book)) {
    entries += 1;
    const here = houseSeen(sight, book.at(entry.happenedAt))[type];
    const month = entry.happenedAt.slice(0, 7);
    for (const { type: of, id } of subjectsOf(entry)) {
      if (of !== type || here[id] === undefined) continue;
      const key = `${id} ${month}`;
      counted.set(key, { pumpId: id, month, n: (counted.get(key)?.n ?? 0) + 1 });
    }
  }
  return { entries, counted: [...counted.values()] };
}
