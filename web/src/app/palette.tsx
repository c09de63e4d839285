import { Command } from 'cmdk';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useRoundQuery, useSetUpQuery } from '../api/house-api.js';
import { useMayOpen } from '../ui/may.js';
import { containerMatches, paletteMatches } from './palette-matches.js';

const ITEM =
  'flex min-h-11 cursor-pointer items-center gap-3 rounded-[6px] px-3 data-[selected=true]:bg-ink data-[selected=true]:text-on-ink';

/** Find a pump, or do something on it, by typing. */
export default function Palette({ close, show }: { close: () => void; show: (what: 'keys' | 'prefs') => void }) {
  const { data } = useRoundQuery(undefined);
  const [search, setSearch] = useState('');
  const navigate = useNavigate();
  const { data: setUp } = useSetUpQuery();
  const containers = containerMatches(setUp?.house.container ?? {}, search);
  const mayOpen = useMayOpen();
  const { pumps, deeds } = paletteMatches(data?.rows ?? [], search);
  const go = (to: string) => {
    close();
    void navigate(to);
  };
  const pages = (
    [
      { words: 'Add a pump', to: '/set-up/add-pump' },
      { words: 'Start runs', to: '/start' },
      { words: 'Set-up: pumps, sites, equipment, models, oils, materials, people', to: '/set-up' },
      { words: 'Oil store', to: '/store' },
      { words: 'Bring oil in', to: '/store/bring-in' },
      { words: 'Waste record', to: '/store/waste' },
      { words: 'Instruments: gauges and monitors', to: '/instruments' },
      { words: 'What went in? Runs not told yet', to: '/untold' },
      { words: 'Suspect materials', to: '/suspects' },
      { words: 'Set-up as a file', to: '/set-up/file' },
      { words: 'Backup and restore', to: '/backup' },
      { words: 'The Round on paper', to: '/round/print' },
      { words: 'Cart labels', to: '/labels' },
      { words: 'People and doors', to: '/people' },
      { words: 'Your sign-in and devices', to: '/sign-in' },
      { words: 'Phone and tablet', to: '/phone' },
      { words: 'Import a notebook or spreadsheet', to: '/logs/notebook' },
      { words: 'Import or export the run log', to: '/logs/runs' },
      { words: 'Import or export the look log', to: '/logs/looks' },
      { words: 'Import or export the oil changes', to: '/logs/changes' },
      { words: 'Import or export the movements of oil', to: '/logs/pours' },
      { words: 'Import or export the stocktakes', to: '/logs/stocktakes' },
      { words: 'Who, units and look', over: 'prefs' },
      { words: 'All keys', over: 'keys' },
    ] as const
  )
    .filter((p) => p.words.toLowerCase().includes(search.trim().toLowerCase()))
    .filter((p) => !('to' in p) || mayOpen(p.to));
  return (
    <>
      <Dialog.Title className="sr-only">Find or do</Dialog.Title>
      <Command label="Find or do" shouldFilter={false}>
        <Command.Input
          autoFocus
          value={search}
          onValueChange={setSearch}
          placeholder="A pump, or what to do"
          className="min-h-14 w-full rounded-[6px] border border-edge bg-sheet px-4 text-[17px]"
        />
        <Command.List key={search} className="mt-3 max-h-[50vh] overflow-auto">
          <Command.Empty className="p-3 text-ink-2">
            Nothing bears that name. Try a pump, a site, or “bleed”.
          </Command.Empty>
          {pumps.map((row) => (
            <Command.Item
              key={row.pumpId}
              value={row.pumpId}
              className={ITEM}
              onSelect={() => go(`/pumps/${row.pumpId}`)}
            >
              <span className="figure font-semibold">{row.name}</span>
              <span>
                {row.siteName} · {row.equipmentName}
              </span>
            </Command.Item>
          ))}
          {containers.map(([id, { name, place }]) => (
            <Command.Item key={id} value={`container ${id}`} className={ITEM} onSelect={() => go(`/store?at=${id}`)}>
              <span className="font-semibold">{name}</span>
              <span>{place ? `oil store · ${place}` : 'oil store'}</span>
            </Command.Item>
          ))}
          {deeds
            .filter(({ path }) => mayOpen(path))
            .map(({ row, path, words }) => (
              <Command.Item key={path} value={path} className={ITEM} onSelect={() => go(path)}>
                <span className="figure font-semibold">{row.name}</span>
                <span>{words}</span>
              </Command.Item>
            ))}
          {pages.map((page) => (
            <Command.Item
              key={page.words}
              value={page.words}
              className={ITEM}
              onSelect={() => ('to' in page ? go(page.to) : show(page.over))}
            >
              {page.words}
            </Command.Item>
          ))}
        </Command.List>
      </Command>
    </>
  );
}
