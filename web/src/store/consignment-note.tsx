import { Printer } from 'lucide-react';
import { useParams } from 'react-router';
import { useWasteQuery } from '../api/house-api.js';
import { Button } from '../ui/button.js';
import { Loading, Trouble } from '../ui/page-state.js';
import { PageHead } from '../ui/page-head.js';
import { PageTitle } from '../ui/page-title.js';
import { momentWords } from '../words/dates.js';
import { WASTE_WORDS } from '../words/store-words.js';
import { WithStore } from './store-screen.js';

/** What goes with a collection on paper: our own sheet, beside the form that the law asks for. */
export function ConsignmentNotePage() {
  const { entryId = '' } = useParams();
  const { data } = useWasteQuery();
  if (!data) return <Loading what="the note" />;
  const line = data.lines.find((l) => l.entryId === entryId);
  if (!line)
    return (
      <Trouble title="There is no such collection">It may have been taken back. The waste record lists all.</Trouble>
    );
  return (
    <WithStore>
      {({ house, words }) => {
        const container = house.container[line.containerId];
        const site = container ? house.site[container.siteId] : null;
        const volumes = (
          [
            ['Oil', line.oilMl],
            ['Water', line.waterMl],
            ['Cream', line.creamMl],
            ['Sludge', line.sludgeMl],
          ] as const
        ).filter(([, ml]) => ml > 0);
        const total = volumes.reduce((sum, [, ml]) => sum + ml, 0);
        const facts: readonly (readonly [string, string])[] = [
          // On paper no day is today.
          ['Collected', momentWords(line.at, line.zone, '1970-01-01T00:00:00.000Z')],
          ['From', [site?.name, container?.name].filter(Boolean).join(', ')],
          ['Kind', container?.wasteKind ? WASTE_WORDS[container.wasteKind] : 'not said'],
          ['In all', words.print.volume(total)],
          ...volumes.map(([name, ml]): [string, string] => [`of it ${name.toLowerCase()}`, words.print.volume(ml)]),
          ['Carrier', line.carrier ?? ''],
          ['Number of its own note', line.noteNumber ?? ''],
        ];
        return (
          <main className="mx-auto w-full max-w-[640px] px-4 pb-10 pt-4 print:p-0">
            <PageTitle title="Consignment note" />
            <div className="no-print flex flex-wrap items-start justify-between gap-3">
              <PageHead back="/store/waste">Consignment note</PageHead>
              <Button look="solid" onClick={() => window.print()}>
                <Printer size={18} aria-hidden="true" /> Print
              </Button>
            </div>
            <article className="mt-4 border-2 border-black bg-white p-6 text-black">
              <p className="font-head text-[28px] leading-none font-bold">Waste oil, consignment note</p>
              <dl className="mt-4 grid grid-cols-[auto_minmax(0,1fr)] gap-x-6 gap-y-2 text-[16px]">
                {facts.map(([name, value]) => (
                  <div key={name} className="contents">
                    <dt>{name}</dt>
                    <dd className="min-h-6 border-b border-black font-semibold wrap-anywhere">{value}</dd>
                  </div>
                ))}
              </dl>
              <div className="mt-8 grid grid-cols-2 gap-6 text-[14px]">
                <p className="border-t border-black pt-1">Handed over by, day, signature</p>
                <p className="border-t border-black pt-1">Taken over by, day, signature</p>
              </div>
              <p className="mt-6 text-[14px]">
                This sheet is the house’s own record. It does not replace the form that the law of the place asks for.
                Keep it as long as your rules say.
              </p>
            </article>
          </main>
        );
      }}
    </WithStore>
  );
}
