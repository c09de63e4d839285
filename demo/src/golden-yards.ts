import { longYardEntries, longYardPumps, longYardVersions } from '@winter-jar/core/testing/long-yard';
import { goldenStandings, type GoldenYard } from './golden-standings.js';
import { yardHistory } from './yard-history.js';

const LONG = { pumps: 300, runs: 200 } as const;

/** The yards whose standings are kept under demo/golden, by the name of their file. */
export const GOLDEN_YARDS = {
  'demo-yard': (): GoldenYard => {
    const now = '2031-02-11T09:30:00.000Z';
    const { versions, entries } = yardHistory(now);
    const pumpIds = versions.flatMap((v) => (v.kind === 'pump' ? [v.subjectId] : []));
    const entriesOf = (pumpId: string) => entries.filter((e) => e.subjects.some((s) => s.id === pumpId));
    return goldenStandings({ versions, pumpIds, entriesOf, now });
  },
  /** @param every so many pumps one only, for a sample */
  'long-yard': (every = 1): GoldenYard => {
    const all = longYardPumps(LONG.pumps);
    const pumpIds = all.filter((_, i) => i % every === 0);
    return goldenStandings({
      versions: longYardVersions(LONG.pumps),
      pumpIds,
      entriesOf: (pumpId) => longYardEntries(all.indexOf(pumpId), LONG.runs),
      now: '2032-02-05T08:00:00.000Z',
    });
  },
};
