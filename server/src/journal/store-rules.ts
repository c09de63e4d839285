import type { FieldIssue, Question } from '@winter-jar/contracts';
import {
  blendOf,
  bookEntry,
  containerIdsOf,
  filterMediaOf,
  firstAccount,
  HOUSE_RULES_ID,
  notInto,
  pumpIdsOf,
  reuseOf,
  storeProjection,
  subjectKey,
  subjectsIn,
  totalUL,
  unfitFill,
  type AccountState,
  type Container,
  type Entry,
  type EntryKind,
  type HouseSetUp,
  type PumpSetUp,
  type PumpState,
  type SetUpBook,
} from '@winter-jar/core';
import type { WritingStatements } from '../database/statements.js';
import { reuseFactsOf } from './reuse-facts.js';

const OF_STORE: readonly EntryKind[] = ['transfer', 'stocktake', 'opened', 'mediaChange'];
/** About containers alone, without a pump. */
export const isOfStore = ({ kind }: Entry): boolean => OF_STORE.includes(kind);

const unknown = (field: string, value: unknown, right: string): FieldIssue => ({
  field,
  value,
  code: 'unknownId',
  right,
});

/** Containers, media and oils that an entry of the store names are in the set-up. */
export function containerIssues(entry: Entry, house: HouseSetUp): FieldIssue[] {
  const issues = containerIdsOf(entry).flatMap((id): FieldIssue[] =>
    house.container[id] ? [] : [unknown('body', id, 'the id of a container that is in the set-up')],
  );
  if (entry.kind === 'transfer' && entry.body.productId && !house.oilProduct[entry.body.productId])
    issues.push(unknown('body.productId', entry.body.productId, 'the id of an oil product that is in the set-up'));
  if (
    entry.kind === 'mediaChange' &&
    entry.body.mediaId &&
    !filterMediaOf({ id: entry.body.mediaId, own: house.filterMedia })
  )
    issues.push(unknown('body.mediaId', entry.body.mediaId, 'the id of a filter media of the library or the house'));
  return issues;
}

/** A microlitre of rounding is no shortage. */
const LEAST_UL = 500;

/** What pouring does that somebody should say yes to, as the shelf stands now. */
export function storeQuestions(
  entry: Entry,
  { book, sql, stands }: { book: SetUpBook; sql: WritingStatements; stands: (pumpId: string) => PumpState | null },
): Question[] {
  const containers = containerIdsOf(entry);
  if (containers.length === 0) return [];
  const house = book.at(entry.happenedAt);
  const subjects = subjectsIn(storeProjection, entry);
  // While they are made anew nobody knows what stands in them.
  if (subjects.some(({ type, id }) => sql.lagging.get({ subjectType: type, subjectId: id }))) return [];
  const before = new Map(
    subjects.map((subject): [string, AccountState] => {
      const row = sql.subjectState.get({ subjectType: subject.type, subjectId: subject.id });
      return [subjectKey(subject), row ? (JSON.parse(row.state) as AccountState) : firstAccount(subject)];
    }),
  );
  const { states } = bookEntry(before, entry, book);
  const open: Question[] = [];
  for (const containerId of containers) {
    const key = subjectKey({ type: 'container', id: containerId });
    const [was, is, container] = [before.get(key), states.get(key), house.container[containerId]];
    if (!was || !is || !container) continue;
    const missing = is.shortUL - was.shortUL;
    if (missing > LEAST_UL)
      open.push({
        code: 'moreThanThere',
        containerId,
        bookMl: totalUL(was.parts) / 1000,
        missingMl: missing / 1000,
      });
    const ml = totalUL(is.parts) / 1000;
    if (ml > container.holdsMl && totalUL(is.parts) > totalUL(was.parts))
      open.push({ code: 'overfull', containerId, ml, holdsMl: container.holdsMl });
    const products = (state: AccountState) => blendOf({ parts: state.parts, products: house.oilProduct }).productIds;
    if (!container.wasteKind && products(is).length > Math.max(1, products(was).length))
      open.push({ code: 'mixesProducts', containerId, productIds: products(is) });
  }
  return [...open, ...filledQuestions(entry, { before, house, book, sql, stands })];
}

/** What goes into a pump against what the shelf knows of it: another oil than is said, or used oil that the rules refuse. */
function filledQuestions(
  entry: Entry,
  {
    before,
    house,
    book,
    sql,
    stands,
  }: {
    before: ReadonlyMap<string, AccountState>;
    house: HouseSetUp;
    book: SetUpBook;
    sql: WritingStatements;
    stands: (pumpId: string) => PumpState | null;
  },
): Question[] {
  if (entry.kind !== 'change' && entry.kind !== 'topUp') return [];
  const flushed = entry.kind === 'change' ? (entry.body.flushed ?? []).map((f) => f.fromContainerId) : [];
  const [pumpId = ''] = pumpIdsOf(entry);
  const pump = book.pumpAt({ pumpId, instant: entry.happenedAt });
  const { productId } = entry.body;
  // What it is flushed with is in it too.
  const sources = [...new Set([entry.body.fromContainerId, ...flushed])].filter((id) => typeof id === 'string');
  return sources.flatMap((containerId) => {
    const state = before.get(subjectKey({ type: 'container', id: containerId }));
    const container = house.container[containerId];
    if (!state || !container || !pump) return [];
    return [
      ...otherOilQuestion({ containerId, state, pump }),
      ...usedOilQuestion({ containerId, container, state, pump, productId }),
    ];
  });

  /** Whichever of its oils could hurt somebody is told, however little of it there is. */
  function otherOilQuestion(of: { containerId: string; state: AccountState; pump: PumpSetUp }): Question[] {
    const others = blendOf({ parts: of.state.parts, products: house.oilProduct }).productIds.filter(
      (id) => id !== productId,
    );
    const unfits = others.map((id) => unfitFill(id, of.pump, () => stands(pumpId)));
    const unfit = unfits.find((u) => u !== null) ?? null;
    return others.length > 0 ? [{ code: 'otherOil', containerId: of.containerId, productIds: others, unfit }] : [];
  }

  function usedOilQuestion(of: {
    containerId: string;
    container: Container;
    state: AccountState;
    pump: PumpSetUp;
    productId: string;
  }): Question[] {
    const { containerId, container, state, pump: into, productId: id } = of;
    const rules = house.houseRules[HOUSE_RULES_ID];
    const verdict = reuseOf({
      state,
      isWaste: Boolean(container.wasteKind),
      products: house.oilProduct,
      rules,
      facts: reuseFactsOf(sql, state.marks.stays, house),
    });
    if (verdict.isNew) return [];
    const to = { pump: into.pump, service: into.service, rules, productId: id, worstRounds: verdict.nextRound - 1 };
    const why = notInto(to);
    if (why) return [{ code: 'usedOil', containerId, why }];
    return verdict.fit ? [] : [{ code: 'usedOil', containerId, why: 'refused' }];
  }
}
