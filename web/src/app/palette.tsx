import { Command } from 'cmdk';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useRoundQuery, useSetUpQuery } from '../api/house-api.js';
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
  const { pumps, deeds } = paletteMatches(data?.rows ?? [], search);
  const go = (to: string) => {
    close();
    void navigate(to);
  };
  const pages = [
    { words: 'Add a pump', act: () => go('/set-up/add-pump') },
    { words: 'Start runs', act: () => go('/start') },
    { words: 'Set-up: pumps, sites, equipment, models, oils, materials, people', act: () => go('/set-up') },
    { words: 'Oil store', act: () => go('/store') },
    { words: 'Bring oil in', act: () => go('/store/bring-in') },
    { words: 'Waste record', act: () => go('/store/waste') },
    { words: 'Instruments: gauges and monitors', act: () => go('/instruments') },
    { words: 'What went in? Runs not told yet', act: () => go('/untold') },
    { words: 'Suspect materials', act: () => go('/suspects') },
    { words: 'Set-up as a file', act: () => go('/set-up/file') },
    { words: 'Backup and restore', act: () => go('/backup') },
    { words: 'The Round on paper', act: () => go('/round/print') },
    { words: 'Cart labels', act: () => go('/labels') },
    { words: 'Phone and tablet', act: () => go('/phone') },
    { words: 'Import a notebook or spreadsheet', act: () => go('/logs/notebook') },
    { words: 'Import or export the run log', act: () => go('/logs/runs') },
    { words: 'Import or export the look log', act: () => go('/logs/looks') },
    { words: 'Import or export the oil changes', act: () => go('/logs/changes') },
    { words: 'Import or export the movements of oil', act: () => go('/logs/pours') },
    { words: 'Import or export the stocktakes', act: () => go('/logs/stocktakes') },
    { words: 'Who, units and look', act: () => show('prefs') },
    { words: 'All keys', act: () => show('keys') },
  ].filter((p) => p.words.toLowerCase().includes(search.trim().toLowerCase()));
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
          {deeds.map(({ row, path, words }) => (
            <Command.Item key={path} value={path} className={ITEM} onSelect={() => go(path)}>
              <span className="figure font-semibold">{row.name}</span>
              <span>{words}</span>
            </Command.Item>
          ))}
          {pages.map(({ words, act }) => (
            <Command.Item key={words} value={words} className={ITEM} onSelect={act}>
              {words}
            </Command.Item>
          ))}
        </Command.List>
      </Command>
    </>
  );
}
