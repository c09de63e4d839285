/** Where a finding comes from. `log`: the journal says it by itself. */
export type ObservedBy = 'look' | 'jar' | 'gauge' | 'hand' | 'lab' | 'log' | 'set-up';

/**
 * Something that can be found at a pump, in one of several states; the first one is what is usual. A finding that nobody asked for
 * is unknown, which is not the same as its first state.
 *
 * A `sign` is an effect: causes bring its states about. A `condition` was there before: it makes causes more or less likely.
 */
export interface Finding<State extends string = string> {
  readonly name: string;
  readonly kind: 'sign' | 'condition';
  readonly states: Readonly<Record<State, string>>;
  /** How often each state but the first is met: of a sign with none of the causes at work, of a condition at any pump. */
  readonly baseRate: Readonly<Partial<Record<State, number>>>;
  readonly observedBy: ObservedBy;
  /** Days after which it says half as much. */
  readonly halfLifeDays: number;
}

/** @param baseRate how often each state but the first is seen with no cause at work */
export const sign = <State extends string>(
  name: string,
  states: Record<State, string>,
  baseRate: Partial<Record<State, number>>,
  observedBy: ObservedBy,
  halfLifeDays: number,
): Finding<State> => ({ name, kind: 'sign', states, baseRate, observedBy, halfLifeDays });

/** @param baseRate how often each state but the first is met at any pump that somebody asks about */
export const condition = <State extends string>(
  name: string,
  states: Record<State, string>,
  baseRate: Partial<Record<State, number>>,
  observedBy: ObservedBy,
  halfLifeDays: number,
): Finding<State> => ({ name, kind: 'condition', states, baseRate, observedBy, halfLifeDays });
