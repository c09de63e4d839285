import { Injectable, NotFoundException } from '@nestjs/common';
import type { CaseAnswer, CaseLine, DiagnosisAnswer, LikelyCause } from '@winter-jar/contracts';
import {
  gatherEvidence,
  hazardsOf,
  houseSeen,
  lackedBy,
  nextChecks,
  priorsAfter,
  pumpIdsOf,
  rank,
  seesEntry,
  seesStanding,
  sharesInSteps,
  type Asked,
  type Entry,
  type RankedCause,
  type Sight,
} from '@winter-jar/core';
import { Reading } from '../database/reading.js';
import { PumpReader } from '../house/pump-reader.js';
import { lastCharges } from '../pumps/last-charges.js';
import { SetUpStore } from '../journal/set-up-store.js';
import { caseLines, confirmedFor } from './cases.js';

/** Ended charges that evidence is gathered from: what the oil before last has shown says little about this one. */
const EVIDENCE_CHARGES = 2;
const SHOWN = { causes: 10, checks: 8 } as const;
const LATELY_MS = 14 * 86_400_000;

@Injectable()
export class DiagnosisService {
  constructor(
    private readonly pumps: PumpReader,
    private readonly reading: Reading,
    private readonly store: SetUpStore,
  ) {}

  /** @param stopWeight how many minutes a minute of standing still counts besides its own */
  async diagnosis(pumpId: string, stopWeight: number): Promise<DiagnosisAnswer> {
    const { now, setUp, state } = this.pumps.pump(pumpId);
    const entries = await this.entriesOf(pumpId);
    const { evidence, faded } = gatherEvidence({ pumpId, entries, state, book: this.store.book, now });
    const findings = evidence.toSorted((a, b) => b.certainty - a.certainty);

    const { process } = setUp.equipment;
    const cases = await this.cases();
    const processOf = (id: string) => this.store.book.pumpAt({ pumpId: id, instant: now })?.equipment.process ?? null;
    const confirmed = confirmedFor({ pumpId, process, cases, processOf });
    const asked = { process, findings, priors: priorsAfter({ process, cases: confirmed }) };
    const ranking = rank(asked);
    const ofPump = cases.filter((c) => c.pumpId === pumpId);
    const current = ofPump.find((c) => c.caseId === state.case?.caseId) ?? null;
    const since = current?.openedAt ?? new Date(Date.parse(now) - LATELY_MS).toISOString();
    return {
      process,
      priors: asked.priors,
      evidence: findings,
      faded,
      causes: withSteps(ranking.causes.slice(0, SHOWN.causes), asked),
      nothing: ranking.nothing,
      undecided: ranking.undecided,
      checks: nextChecks({
        ...asked,
        stopWeight,
        hazards: hazardsOf(state, setUp),
        lacks: lackedBy(setUp),
      }).slice(0, SHOWN.checks),
      case: current,
      tried: entries.filter((e) => e.kind === 'test').filter((e) => e.happenedAt >= since),
      past: ofPump.filter((c) => c.closedAt !== null && c !== current).toReversed(),
      counted: {
        thisPump: confirmed.filter((c) => c.on === 'thisPump').length,
        sameKind: confirmed.filter((c) => c.on === 'sameKind').length,
      },
    };
  }

  /** A case with all that was written about its pump from its opening to the last word on it. */
  async caseInFull(sight: Sight, caseId: string): Promise<CaseAnswer> {
    const rows = await this.caseRows();
    const line = caseLines(rows).find((c) => c.caseId === caseId);
    // What is wrong with a pump goes with it: whoever runs it now has to know.
    if (!line || !seesStanding(sight, this.store.book.at(this.pumps.now), 'pump', line.pumpId))
      throw new NotFoundException(`the id of a case; "${caseId}" is none`);
    const { now } = this.pumps;
    const setUp = this.pumps.setUpOf(line.pumpId, now);
    const isSeen = (entry: Entry) => seesEntry(sight, this.store.book, entry);
    const said = rows.filter(({ entry }) => entry.subjects.some((s) => s.type === 'case' && s.id === caseId));
    const until = line.closedAt ?? now;
    const { pumpId, openedAt: from } = line;
    const entries = await this.reading.records.between(pumpId, { from, until });
    const later = said.map((r) => r.entry).filter((e) => !entries.some((d) => d.id === e.id));
    return {
      case: line,
      setUp: { ...setUp, house: houseSeen(sight, setUp.house) },
      entries: [...entries, ...later].filter(isSeen),
    };
  }

  private async entriesOf(pumpId: string): Promise<Entry[]> {
    const { key, entries } = await lastCharges(this.reading, pumpId, EVIDENCE_CHARGES);
    return [...(await this.reading.records.foundUntil(pumpId, key)), ...entries];
  }

  private async caseRows() {
    const entries = await this.reading.records.ofCases();
    return entries.flatMap((entry) => pumpIdsOf(entry).map((pumpId) => ({ pumpId, entry })));
  }

  private async cases(): Promise<CaseLine[]> {
    return caseLines(await this.caseRows());
  }
}

function withSteps(causes: readonly RankedCause[], asked: Asked): LikelyCause[] {
  const steps = sharesInSteps(asked);
  return causes.map((cause) => ({
    ...cause,
    steps: steps.map(({ finding, state, shares }) => ({ finding, state, probability: shares[cause.id] })),
  }));
}
