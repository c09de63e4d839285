import type { PeopleAnswer } from '@winter-jar/contracts';
import { useState } from 'react';
import { useSetUpQuery, useTabletCodeMutation } from '../api/house-api.js';
import { Button } from '../ui/button.js';
import { Chips } from '../ui/chips.js';
import { WrongAsAWhole } from './at-the-door.js';
import { HandOver } from './code-for-them.js';
import { SessionList } from './session-list.js';

/** Tablets in plant rooms: each belongs to a site, and asks who writes. */
export function SharedTablets({ tablets }: { tablets: PeopleAnswer['tablets'] }) {
  const sites = useSetUpQuery().data?.house.site ?? {};
  const [ask, { data: code, error, isLoading }] = useTabletCodeMutation();
  const [siteId, setSite] = useState<string | null>(null);
  if (Object.keys(sites).length === 0) return null;
  const named = tablets.map((t) => ({ ...t, name: `${t.name}, ${sites[t.siteId]?.name ?? 'a site that is gone'}` }));
  return (
    <section className="flex flex-col gap-4">
      <div>
        <h2 className="text-[20px]">Shared tablets</h2>
        <p className="mt-1 max-w-[68ch]">
          One that hangs in a plant room is nobody’s: it shows its site, and asks who writes by a tap, with a PIN where
          somebody has set one under their name. Whoever steps away for ten minutes is asked again.
        </p>
      </div>
      {named.length > 0 && <SessionList title="Paired" sessions={named} />}
      <Chips
        label="Pair one for a site"
        chips={Object.entries(sites).map(([value, site]) => ({ value, words: site.name }))}
        value={siteId}
        onChange={setSite}
      />
      {siteId !== null && (
        <div>
          <Button disabled={isLoading} onClick={() => void ask({ siteId })}>
            A code for its tablet
          </Button>
        </div>
      )}
      <WrongAsAWhole error={error} />
      {code && <HandOver code={code} />}
    </section>
  );
}
