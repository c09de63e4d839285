import { Injectable, NotFoundException } from '@nestjs/common';
import type { Sight } from '@winter-jar/core';
import { Reading } from '../database/reading.js';
import { isOfOtherSites } from '../journal/cited-files.js';
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
    if (isOfOtherSites(sight, fileId, this.store.book, this.reading.sql)) throw new NotFoundException(right);
  }
}
