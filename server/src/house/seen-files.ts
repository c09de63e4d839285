import { Injectable, NotFoundException } from '@nestjs/common';
import { seesEntry, type Entry, type Sight } from '@winter-jar/core';
import { Reading } from '../database/reading.js';
import { SetUpStore } from '../journal/set-up-store.js';

/** Files that entries show: whoever is bound to some sites is shown those of the entries that they see, and what no entry shows yet. */
@Injectable()
export class SeenFiles {
  constructor(
    private readonly reading: Reading,
    private readonly store: SetUpStore,
  ) {}

  /** @throws NotFoundException, in the words for one that is not there */
  mustSee(sight: Sight, fileId: string, right: string): void {
    if (sight === null) return;
    const citing = this.reading.sql.citing.all(fileId).map(({ content }) => JSON.parse(content) as Entry);
    if (citing.length > 0 && !citing.some((entry) => seesEntry(sight, this.store.book, entry)))
      throw new NotFoundException(right);
  }
}
