import { Inject, Injectable, NotFoundException } from '@nestjs/common';
import type {
  CollectedLine,
  ContainerAnswer,
  StockLine,
  StoreAnswer,
  StoreContainer,
  StoreCostAnswer,
  StoreSump,
  TraceAnswer,
  WasteAnswer,
} from '@winter-jar/contracts';
import {
  blendOf,
  filterAsItStands,
  firstAccount,
  HOUSE_RULES_ID,
  houseSeen,
  jarShapeOf,
  NO_FACTS,
  onShelf,
  reuses,
  seesEntry,
  seesStanding,
  settlingFactor,
  settlingOf,
  STORE_FOLD_VERSION,
  totalUL,
  type AccountState,
  type Entry,
  type HouseSetUp,
  type JarShown,
  type Sight,
  type SubjectRef,
} from '@winter-jar/core';
import { CLOCK, isoNow, type Clock } from '../clock/clock.js';
import { Reading } from '../database/reading.js';
import { journalPage } from '../house/journal-page.js';
import { SetUpStore } from '../journal/set-up-store.js';
import { WorkQueue } from '../work/work-queue.js';
import { reuseFactsOf } from '../journal/reuse-facts.js';
import { STORE_COST_JOB } from './store-cost.js';
import { TRACE_JOB } from './trace-oil.js';

/** Jars of before that tell how long they take here. */
const JARS = 60;
const COLLECTIONS = 500;

@Injectable()
export class StoreService {
  constructor(
    @Inject(CLOCK) private readonly clock: Clock,
    private readonly reading: Reading,
    private readonly store: SetUpStore,
    private readonly work: WorkQueue,
  ) {}

  /** The whole shelf: a page opens with it, and goes on with it. */
  shelf(sight: Sight): StoreAnswer {
    const now = isoNow(this.clock);
    const house = this.store.book.at(now);
    const seen = houseSeen(sight, house);
    return this.reading.together(() => {
      const states = new Map<string, AccountState>();
      const sumps: StoreSump[] = [];
      for (const { subjectType, subjectId, state: text } of this.reading.sql.storeStates.all()) {
        const state = JSON.parse(text) as AccountState;
        // One of before an update is being made anew.
        if (state.foldVersion !== STORE_FOLD_VERSION) continue;
        if (subjectType === 'container') states.set(subjectId, state);
        else sumps.push(sumpOf(subjectId, state, house));
      }
      const factor = this.ownSettling(house);
      const containers = Object.keys(seen.container)
        .map((id) => this.containerOf(id, states.get(id) ?? firstAccount(ref(id)), { house, now, factor }))
        .filter(({ container, shelf }) => !container.gone || shelf.heldMl > 0);
      return {
        now,
        reuses: reuses(house.houseRules[HOUSE_RULES_ID]),
        containers,
        sumps: sumps.filter(({ pumpId }) => seen.pump[pumpId]),
        stock: stockOf(containers, house.oilProduct),
        settlingFactor: factor,
      };
    });
  }

  /** @throws NotFoundException */
  async container(sight: Sight, id: string, before: string | undefined): Promise<ContainerAnswer> {
    const now = isoNow(this.clock);
    const house = this.store.book.at(now);
    if (!house.container[id]) throw new NotFoundException(`a container in the set-up; "${id}" is none`);
    const stored = this.reading.sql.subjectState.get({ subjectType: 'container', subjectId: id });
    const state = stored ? (JSON.parse(stored.state) as AccountState) : firstAccount(ref(id));
    const factor = this.ownSettling(house);
    return {
      now,
      container: this.containerOf(id, state, { house, now, factor }),
      journal: await journalPage(this.reading.records, ref(id), { before }, (entry) =>
        seesEntry(sight, this.store.book, entry),
      ),
    };
  }

  /** @throws NotFoundException, JobCancelled */
  trace(containerId: string, signal: AbortSignal): Promise<TraceAnswer> {
    if (!this.store.book.at(isoNow(this.clock)).container[containerId])
      throw new NotFoundException(`a container in the set-up; "${containerId}" is none`);
    return this.work.run(TRACE_JOB, { containerId }, { signal });
  }

  /** Where the oil of so many days went, what that costs by either school, and how long the stock lasts. @throws JobCancelled */
  cost(days: number, signal: AbortSignal): Promise<StoreCostAnswer> {
    return this.work.run(STORE_COST_JOB, { now: isoNow(this.clock), days }, { signal });
  }

  /** What left by a carrier, the last first. */
  waste(sight: Sight): WasteAnswer {
    const house = this.store.book.at(isoNow(this.clock));
    const lines = this.reading.sql.collections.all(COLLECTIONS).flatMap(({ content }): CollectedLine[] => {
      const entry = JSON.parse(content) as Entry;
      if (entry.kind !== 'transfer') return [];
      const { fromId, oilMl, waterMl, creamMl, sludgeMl, carrier, noteNumber } = entry.body;
      return [
        {
          entryId: entry.id,
          at: entry.happenedAt,
          zone: entry.zone,
          containerId: fromId ?? '',
          oilMl,
          waterMl: waterMl ?? 0,
          creamMl: creamMl ?? 0,
          sludgeMl: sludgeMl ?? 0,
          carrier: carrier ?? null,
          noteNumber: noteNumber ?? null,
        },
      ];
    });
    return { lines: lines.filter((line) => seesStanding(sight, house, 'container', line.containerId)) };
  }

  private containerOf(
    id: string,
    state: AccountState,
    { house, now, factor }: { house: HouseSetUp; now: string; factor: number },
  ): StoreContainer {
    const container = house.container[id];
    if (!container) throw new NotFoundException(`a container in the set-up; "${id}" is none`);
    // Waste goes nowhere: what ran in it is asked for by a trace alone.
    const facts = container.wasteKind ? NO_FACTS : reuseFactsOf(this.reading.sql, state.marks.stays, house);
    const shelf = onShelf({ state, container, house, facts, nowMs: Date.parse(now), settlingFactor: factor });
    const productId = shelf.blend.productIds[0] ?? null;
    const filter = filterAsItStands({ container, state, productId, house, ml: shelf.heldMl });
    return { id, container, state, shelf, facts, filter };
  }

  /** From the jars of this yard that were read while they stood. */
  private ownSettling(house: HouseSetUp): number {
    const shown = this.reading.sql.jarLooks.all(JARS).flatMap(({ content }): JarShown[] => {
      const entry = JSON.parse(content) as Entry;
      if (entry.kind !== 'look' || !entry.body.lookedAtMl || !entry.body.clarity) return [];
      const pumpId = entry.subjects.find((s) => s.type === 'pump')?.id ?? '';
      const product = house.oilProduct[house.pump[pumpId]?.oilProductId ?? ''];
      if (!product) return [];
      const shape = jarShapeOf({ id: entry.body.jarShapeId, own: house.jarShape });
      const { basis, neededHours } = settlingOf({ look: entry.body, product, shape });
      const clear = entry.body.clarity === 'bright' && !entry.body.hazyMl;
      return basis === 'droplets' ? [{ neededHours, hoursStood: entry.body.hoursStood, clear }] : [];
    });
    return settlingFactor(shown);
  }
}

const ref = (id: string): SubjectRef => ({ type: 'container', id });

function sumpOf(subjectId: string, { parts }: AccountState, house: HouseSetUp): StoreSump {
  const [pumpId = '', sump = ''] = subjectId.split('/');
  const { oilMl, meanRounds, worstRounds, newShare } = blendOf({ parts, products: house.oilProduct });
  const namedMl = totalUL(parts.filter((p) => p.lot !== null)) / 1000;
  return { pumpId, sump, oilMl, meanRounds, worstRounds, newShare, namedMl };
}

/** Oil by product over the shelf; what is mixed counts by its main product. */
function stockOf(containers: readonly StoreContainer[], products: HouseSetUp['oilProduct']): StockLine[] {
  const lines = new Map<string, { -readonly [F in keyof StockLine]: StockLine[F] }>();
  for (const { state, shelf } of containers) {
    const soaked = state.media?.held ?? [];
    const held = totalUL(soaked) / 1000;
    // What a filter that has run through still holds is locked up in it.
    const productId = shelf.blend.productIds[0] ?? blendOf({ parts: soaked, products }).productIds[0];
    if (productId === undefined) continue;
    const line = lines.get(productId) ?? {
      productId,
      newMl: 0,
      readyMl: 0,
      waitingMl: 0,
      refusedMl: 0,
      inFiltersMl: 0,
    };
    lines.set(productId, line);
    const ml = shelf.blend.oilMl;
    if (shelf.group === 'new') line.newMl += ml;
    else if (shelf.group === 'ready') line.readyMl += ml;
    else if (shelf.group === 'refused' || shelf.group === 'spent') line.refusedMl += ml;
    else if (shelf.group === 'filter') line.inFiltersMl += ml + held;
    else if (shelf.group !== 'waste') line.waitingMl += ml;
  }
  return [...lines.values()].sort((a, b) => (a.productId < b.productId ? -1 : 1));
}
