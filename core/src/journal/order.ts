/** The one order of the journal: happenedAt, recordedAt, id. The same on every device. */
export interface OrderKey {
  readonly happenedAt: string;
  readonly recordedAt: string;
  readonly id: string;
}

const compareText = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

export const compareOrder = (a: OrderKey, b: OrderKey): number =>
  compareText(a.happenedAt, b.happenedAt) || compareText(a.recordedAt, b.recordedAt) || compareText(a.id, b.id);

export const orderKeyOf = ({ happenedAt, recordedAt, id }: OrderKey): OrderKey => ({ happenedAt, recordedAt, id });
