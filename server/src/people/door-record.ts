import type { DoorEvent } from '@winter-jar/contracts';
import { LessThan, type Repository } from 'typeorm';
import { isoNow, type Clock } from '../clock/clock.js';
import type { DoorEventRow } from './rows.js';

/** So many are kept; whoever knocks without end does not fill the disk. */
const KEPT = 20_000;
const SHOWN = 500;

/** Who came in, who was refused, whose rights changed, what was carried out: for the owner, apart from the journal. */
export class DoorRecord {
  constructor(
    private readonly rows: Repository<DoorEventRow>,
    private readonly clock: Clock,
  ) {}

  async note(event: Omit<DoorEvent, 'at' | 'by' | 'about' | 'detail'> & Partial<DoorEvent>): Promise<void> {
    const row = { by: null, about: null, detail: null, ...event, at: isoNow(this.clock) };
    const { identifiers } = await this.rows.insert(row);
    const id = Number(identifiers[0]?.['id'] ?? 0);
    if (id % 100 === 0) await this.rows.delete({ id: LessThan(id - KEPT) });
  }

  async latest(): Promise<DoorEvent[]> {
    const rows = await this.rows.find({ order: { id: 'DESC' }, take: SHOWN });
    return rows.map(({ at, what, by, about, address, detail }) => ({ at, what, by, about, address, detail }));
  }
}
