import { productIn, saysWater, type Charge, type PumpState } from '../fold/index.js';
import { caseIdOf, type Entry } from '../journal/index.js';
import { backPressuresOf, blankOffLimit } from '../machine/index.js';
import type { PumpSetUp, SetUpBook } from '../set-up/index.js';
import { FINDINGS } from './all-findings.js';
import { LEAST_CERTAINTY, newest, observed, type Evidence, type Observation } from './evidence.js';
import { evidenceOfLab } from './evidence-of-lab.js';
import { evidenceOfLooks } from './evidence-of-looks.js';
import { evidenceOfRuns } from './evidence-of-runs.js';
import { evidenceOfRecords, evidenceOfSeason } from './evidence-of-set-up.js';
import { evidenceOfService } from './evidence-of-service.js';
import { evidenceOfTests } from './evidence-of-tests.js';
import { evidenceOfVerdict, withVerdict } from './evidence-of-verdict.js';

const IDLE_DAYS = 2;
const DAY_MS = 86_400_000;

/**
 * The evidence that a pump's journal holds by itself, each finding with its date and the entry it comes from. What nobody logged is
 * left out: it is unknown. Signs from before a case was closed with its cause are dealt with; conditions stay.
 * @param input.entries of this pump, as they count, in the journal's order; those since the change before last are enough
 * @param input.now instant of the question; old findings fade
 * @returns what still says something, and what was known once and is too old
 * @throws RangeError when the pump is not in the set-up
 */
export function gatherEvidence(input: {
  pumpId: string;
  entries: readonly Entry[];
  state: PumpState;
  book: SetUpBook;
  now: string;
}): {
  evidence: Evidence[];
  faded: Evidence[];
} {
  const { pumpId, entries, state, book, now } = input;
  const setUp = book.pumpAt({ pumpId, instant: now });
  if (!setUp) throw new RangeError(`pumpId: ${pumpId} is not in the set-up`);
  const said = [
    ...evidenceOfLooks(entries),
    ...evidenceOfRuns(entries, setUp),
    ...evidenceOfLab(input),
    ...evidenceOfService({ entries, state, setUp, now }),
    ...ofTheCharge({ ...input, setUp }),
    ...ofOilProducts(entries),
    ...evidenceOfTests(entries, {
      held: blankOffLimit(state.goodPa, setUp),
      lookPa: backPressuresOf(setUp.model).lookPa,
    }),
    ...evidenceOfRecords(state, setUp, now),
  ];
  const dealtWith = dealtWithUntil(entries);
  const isOpen = ({ id, at }: Observation) => FINDINGS[id].kind === 'condition' || at > dealtWith;
  const ofVerdict = newest(evidenceOfVerdict(state), now).filter(isOpen);
  const known = withVerdict(newest(said, now).filter(isOpen), ofVerdict);
  const standing = known.filter((one) => one.certainty >= LEAST_CERTAINTY);
  // What somebody has found beats what the time of year makes likely.
  const season = evidenceOfSeason(setUp, now).filter((one) => !standing.some((s) => s.id === one.id));
  return {
    evidence: [...standing, ...newest(season, now)],
    faded: known.filter((one) => one.certainty < LEAST_CERTAINTY),
  };
}

/** When the last case was closed with its cause; one that did not hold later has dealt with nothing. */
function dealtWithUntil(entries: readonly Entry[]): string {
  const closed = entries.filter((e) => e.kind === 'caseClosed' && e.body.causeId !== null).at(-1);
  if (!closed) return '';
  const checked = entries.filter((e) => e.kind === 'caseChecked' && caseIdOf(e) === caseIdOf(closed)).at(-1);
  return checked?.kind === 'caseChecked' && !checked.body.held ? '' : closed.happenedAt;
}

/** What the fold keeps of the present charge: its water, oil carried over, dark again, standing idle. */
function ofTheCharge({
  entries,
  state,
  setUp,
  now,
}: {
  entries: readonly Entry[];
  state: PumpState;
  setUp: PumpSetUp;
  now: string;
}): Observation[] {
  const sump = state.sumps.find((s) => s.key === 'oil');
  const last = entries.at(-1);
  if (!sump || !last) return [];
  const lastRun = entries.filter((e) => e.kind === 'run').at(-1);
  const change = entries.filter((e) => e.kind === 'change' && e.body.sump === 'oil').at(-1);
  const said: Observation[] = [];
  const has = (code: string) => sump.findings.some((f) => f.code === code);
  if (lastRun) {
    said.push(observed(lastRun, 'carriedOver', sump.charge.carriedOverRuns > 0 ? 'yes' : 'no'));
    const idleDays = (Date.parse(now) - Date.parse(lastRun.happenedAt)) / DAY_MS;
    said.push(observed(lastRun, 'idle', idleDays > IDLE_DAYS ? 'days' : 'no'));
  }
  const looked = entries.filter((e) => e.kind === 'look').at(-1);
  if (looked && change && looked.happenedAt >= change.happenedAt)
    said.push(observed(looked, 'darkAfterChange', has('darkAgain') ? 'yes' : 'no'));
  const coloured = entries.filter((e) => e.kind === 'look' && (e.body.colour ?? null) !== null).at(-1);
  // PFPE stays as it is, whatever goes in: its colour is not judged.
  const isJudged = productIn(state, setUp, 'oil')?.base !== 'pfpe' && sump.charge.startColour !== null;
  if (coloured && isJudged && !has('colour') && !has('darkAgain') && coloured.happenedAt >= sump.charge.since.at)
    said.push(observed(coloured, 'colour', 'asStart'));
  const lookedForWater = entries.filter((e) => e.kind === 'look' && e.body.sump === 'oil' && saysWater(e.body)).at(-1);
  return [...said, ...waterOf(sump.charge, has('waterAboveExpected'), lookedForWater ?? null)];
}

/** As much as its runs explain, where they can be estimated and somebody has looked; more than that, the verdict says. */
function waterOf(charge: Charge, isMore: boolean, looked: Entry | null): Observation[] {
  const isEstimated = charge.number > 0 && charge.unestimatedRuns === 0 && charge.expectedWaterUl > 0;
  if (isMore || !isEstimated || !looked || looked.happenedAt < charge.since.at) return [];
  return [observed(looked, 'water', 'asExpected')];
}

function ofOilProducts(entries: readonly Entry[]): Observation[] {
  const filled = entries.flatMap((e) =>
    (e.kind === 'change' || e.kind === 'topUp') && e.body.sump === 'oil' ? [e] : [],
  );
  const said: Observation[] = [];
  filled.forEach((entry, i) => {
    const before = filled[i - 1];
    if (before)
      said.push(observed(entry, 'productChanged', before.body.productId === entry.body.productId ? 'no' : 'yes'));
  });
  return said;
}
