import type { Charge, PumpState } from '../care/index.js';
import { caseIdOf, type Entry } from '../journal/index.js';
import type { PumpSetUp } from '../set-up/index.js';
import { FINDINGS } from './all-findings.js';
import { LEAST_CERTAINTY, newest, says, type Evidence, type SaidOfFinding as Said } from './evidence.js';
import { evidenceOfLab } from './evidence-of-lab.js';
import { evidenceOfLooks } from './evidence-of-looks.js';
import { evidenceOfRuns } from './evidence-of-runs.js';
import { evidenceOfSeason } from './evidence-of-season.js';
import { evidenceOfService } from './evidence-of-service.js';
import { evidenceOfTests } from './evidence-of-tests.js';

const IDLE_DAYS = 2;
const DAY_MS = 86_400_000;

/**
 * The evidence that a pump's journal holds by itself, each finding with its date and the entry it comes from. What nobody logged is
 * left out: it is unknown. Signs from before a case was closed with its cause are dealt with; conditions stay.
 * @param input.entries of this pump, as they count, in the journal's order; those since the change before last are enough
 * @param input.now instant of the question; old findings fade
 * @returns what still says something, and what was known once and is too old
 */
export function gatherEvidence(input: { entries: readonly Entry[]; state: PumpState; setUp: PumpSetUp; now: string }): {
  evidence: Evidence[];
  faded: Evidence[];
} {
  const { entries, setUp, now } = input;
  const said = [
    ...evidenceOfLooks(entries),
    ...evidenceOfRuns(entries, setUp),
    ...evidenceOfLab(entries, setUp),
    ...evidenceOfService(input),
    ...ofTheCharge(input),
    ...ofOilProducts(entries),
    ...evidenceOfTests(entries),
  ];
  const dealtWith = dealtWithUntil(entries);
  const known = newest(said, now).filter(({ id, at }) => FINDINGS[id].kind === 'condition' || at > dealtWith);
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
function ofTheCharge({ entries, state, now }: { entries: readonly Entry[]; state: PumpState; now: string }): Said[] {
  const sump = state.sumps.find((s) => s.key === 'oil');
  const last = entries.at(-1);
  if (!sump || !last) return [];
  const lastRun = entries.filter((e) => e.kind === 'run').at(-1);
  const change = entries.filter((e) => e.kind === 'change' && e.body.sump === 'oil').at(-1);
  const said: Said[] = [];
  const has = (code: string) => sump.findings.some((f) => f.code === code);
  if (lastRun) {
    said.push(says(lastRun, 'carriedOver', sump.charge.carriedOverRuns > 0 ? 'yes' : 'no'));
    const idleDays = (Date.parse(now) - Date.parse(lastRun.happenedAt)) / DAY_MS;
    said.push(says(lastRun, 'idle', idleDays > IDLE_DAYS ? 'days' : 'no'));
  }
  const looked = entries.filter((e) => e.kind === 'look').at(-1);
  if (looked && change && looked.happenedAt >= change.happenedAt)
    said.push(says(looked, 'darkAfterChange', has('darkAgain') ? 'yes' : 'no'));
  return [...said, ...waterOf(sump.charge, standingUl(state, sump.charge), looked ?? null)];
}

/** Found against expected, by the limits of domain section 6; only where all runs of the charge could be reckoned. */
function waterOf(charge: Charge, standing: number, looked: Entry | null): Said[] {
  if (!looked || charge.unreckonedRuns > 0) return [];
  const found = charge.bledWaterUl + charge.sampledWaterUl + standing;
  if (found === 0 && charge.expectedWaterUl === 0) return [];
  const over = (times: number, leastUl: number) =>
    found > times * charge.expectedWaterUl && found - charge.expectedWaterUl >= leastUl;
  return [says(looked, 'water', over(3, 15_000) ? 'farMore' : over(1.5, 5_000) ? 'more' : 'asExpected')];
}

/** Water that still stood in the oil at the last look: all that is free, and half the cream. */
function standingUl({ jars }: PumpState, { since }: Charge): number {
  const last = jars.filter((j) => j.at >= since.at && (j.source === 'sightGlass' || j.source === 'sample')).at(-1);
  return last ? last.waterUl + last.creamUl / 2 : 0;
}

function ofOilProducts(entries: readonly Entry[]): Said[] {
  const filled = entries.flatMap((e) =>
    (e.kind === 'change' || e.kind === 'topUp') && e.body.sump === 'oil' ? [e] : [],
  );
  const said: Said[] = [];
  filled.forEach((entry, i) => {
    const before = filled[i - 1];
    if (before) said.push(says(entry, 'productChanged', before.body.productId === entry.body.productId ? 'no' : 'yes'));
  });
  return said;
}
