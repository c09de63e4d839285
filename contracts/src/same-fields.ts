import type { EntryBodies, EntryKind, SetUpBodies, SetUpKind } from '@winter-jar/core';
import type { BODY_CLASSES } from './bodies.js';
import type { SET_UP_CLASSES } from './set-up.js';

/** Each field of a type, and whether it may be left out. */
type Fields<T> = { [F in keyof T]-?: undefined extends T[F] ? 'may be left out' : 'must be said' };
/** True where two types have the same fields; else what differs, for the compiler to say. */
type SameFields<A, B> = [Fields<A>, Fields<B>] extends [Fields<B>, Fields<A>]
  ? true
  : { core: Fields<A>; rule: Fields<B> };

type Rule<C> = C extends new () => infer Body ? Body : never;

/** Every kind of entry and of record has one class of rules, with the fields of its type in core, no more and no fewer. */
export type EntryFieldsMatch = { [K in EntryKind]: SameFields<EntryBodies[K], Rule<(typeof BODY_CLASSES)[K]>> };
export type RecordFieldsMatch = { [K in SetUpKind]: SameFields<SetUpBodies[K], Rule<(typeof SET_UP_CLASSES)[K]>> };

type AllTrue<T extends Record<string, true>> = T;
export type EntryParity = AllTrue<EntryFieldsMatch>;
export type RecordParity = AllTrue<RecordFieldsMatch>;
