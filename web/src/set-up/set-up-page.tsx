import { MATERIAL_LIBRARY, SET_UP_KINDS, type HouseSetUp, type SetUpKind } from '@winter-jar/core';
import { Archive, FileJson, Gauge, KeyRound, ListOrdered, Plus, QrCode, Smartphone } from 'lucide-react';
import { useState } from 'react';
import { Link, NavLink, useParams } from 'react-router';
import { v7 as newId } from 'uuid';
import { useRoundQuery, useSetUpQuery } from '../api/house-api.js';
import { usePrint } from '../device/use-print.js';
import { dayWords } from '../words/dates.js';
import { PageTitle } from '../ui/page-title.js';
import { Button, LinkButton } from '../ui/button.js';
import { LinkIfMay } from '../ui/may.js';
import { Empty, Loading, Trouble } from '../ui/page-state.js';
import { firstVersion } from './new-version.js';
import { RECORD_KIND_WORDS, recordFacts, recordName } from './record-words.js';
import { useWriteSetUp } from './use-write-set-up.js';

const ORDER: readonly SetUpKind[] = [
  'pump',
  'site',
  'equipment',
  'pumpModel',
  'oilProduct',
  'material',
  'jarShape',
  'container',
  'filterMedia',
  'instrument',
  'person',
];
/** Lists longer than this can be searched. */
const LONG = 12;

/** Everything that the house consists of, one kind at a time. */
export function SetUpPage() {
  const { kind = 'pump' } = useParams();
  const { data, isError, refetch } = useSetUpQuery();
  const known = SET_UP_KINDS.find((k) => k === kind && k !== 'houseRules');
  if (!known) return <Trouble title="There is no such part of the set-up">Choose one in the list.</Trouble>;
  if (isError && !data)
    return (
      <Trouble title="The set-up could not be fetched" onRetry={() => void refetch()}>
        The server does not answer.
      </Trouble>
    );
  if (!data) return <Loading what="the set-up" />;
  const { house } = data;
  return (
    <div className="flex flex-1 flex-col wide:flex-row">
      <PageTitle title={`Set-up · ${RECORD_KIND_WORDS[known].many}`} />
      <Kinds house={house} />
      <main className="min-w-0 max-w-[960px] flex-1 px-4 pb-10 pt-5 wide:px-6">
        <Records key={known} kind={known} house={house} />
      </main>
    </div>
  );
}

const kindClass = ({ isActive }: { isActive: boolean }): string =>
  `flex min-h-11 items-center justify-between gap-3 rounded-[6px] px-3 no-underline ${isActive ? 'bg-sheet font-semibold text-ink outline-2 -outline-offset-2 outline-ink' : 'text-ink hover:bg-sheet'}`;

function Kinds({ house }: { house: HouseSetUp }) {
  const plain = 'flex min-h-11 items-center gap-2 rounded-[6px] px-3 text-ink no-underline hover:bg-sheet';
  return (
    <nav
      aria-label="Set-up"
      className="flex flex-wrap gap-1 border-rule px-3 pt-4 wide:w-[240px] wide:flex-col wide:border-r wide:pb-6"
    >
      {ORDER.map((kind) => (
        <NavLink key={kind} to={`/set-up/${kind}`} className={kindClass}>
          {RECORD_KIND_WORDS[kind].many}
          <span className="figure text-[14px] text-ink-2">{Object.keys(house[kind]).length}</span>
        </NavLink>
      ))}
      <NavLink
        to={house.houseRules.house ? '/set-up/houseRules/house' : '/set-up/houseRules/new'}
        className={kindClass}
      >
        {RECORD_KIND_WORDS.houseRules.many}
      </NavLink>
      <Link to="/instruments" className={`${plain} wide:mt-4`}>
        <Gauge size={18} aria-hidden="true" /> Instruments, live
      </Link>
      <LinkIfMay to="/set-up/file" className={plain}>
        <FileJson size={18} aria-hidden="true" /> Set-up as a file
      </LinkIfMay>
      <LinkIfMay to="/backup" className={plain}>
        <Archive size={18} aria-hidden="true" /> Backup
      </LinkIfMay>
      <Link to="/logs/runs" className={plain}>
        <ListOrdered size={18} aria-hidden="true" /> Logs, and a notebook
      </Link>
      <Link to="/labels" className={plain}>
        <QrCode size={18} aria-hidden="true" /> Cart labels
      </Link>
      <LinkIfMay to="/people" className={plain}>
        <KeyRound size={18} aria-hidden="true" /> People and doors
      </LinkIfMay>
      <Link to="/phone" className={plain}>
        <Smartphone size={18} aria-hidden="true" /> Phone and tablet
      </Link>
    </nav>
  );
}

function Records({ kind, house }: { kind: SetUpKind; house: HouseSetUp }) {
  const print = usePrint();
  const [search, setSearch] = useState('');
  const { data: round } = useRoundQuery(undefined, { skip: kind !== 'pump' });
  /** When the oil of a pump was changed, where it is known. */
  const changedWords = (id: string): string | null => {
    const row = round?.rows.find(({ pumpId }) => kind === 'pump' && pumpId === id);
    return row?.oilChangedAt ? `changed ${dayWords(row.oilChangedAt, row.zone, round?.at)}` : null;
  };
  const words = RECORD_KIND_WORDS[kind];
  const ids = Object.keys(house[kind]);
  const wanted = search.trim().toLowerCase();
  const shown = ids
    .sort((a, b) => recordName(house, kind, a).localeCompare(recordName(house, kind, b)))
    .filter((id) =>
      `${recordName(house, kind, id)} ${recordFacts(house, kind, id, print)}`.toLowerCase().includes(wanted),
    );
  return (
    <>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-[28px]">{words.many}</h1>
        <LinkButton to={kind === 'pump' ? '/set-up/add-pump' : `/set-up/${kind}/new`} look="solid">
          <Plus size={18} aria-hidden="true" /> {kind === 'pump' ? 'Add a pump' : `New ${words.one.toLowerCase()}`}
        </LinkButton>
      </div>
      <p className="mt-1 max-w-[68ch] text-ink-2">{words.about}</p>
      {ids.length > LONG && (
        <input
          type="search"
          aria-label={`Find among ${words.many.toLowerCase()}`}
          placeholder="Find …"
          className="mt-4 min-h-11 w-full max-w-[320px] rounded-[6px] border border-edge bg-sheet px-3"
          value={search}
          onChange={(e) => setSearch(e.target.value)}
        />
      )}
      {ids.length === 0 &&
        (kind === 'material' ? (
          <NoMaterials />
        ) : (
          <Empty inside title={`No ${words.many.toLowerCase()} yet`}>
            {words.about}
          </Empty>
        ))}
      <ul className="mt-4">
        {shown.map((id) => (
          <li key={id} className="border-b border-rule-soft">
            <Link to={`/set-up/${kind}/${id}`} className="block px-2 py-2.5 text-ink no-underline hover:bg-sheet">
              <span dir="auto" className="block font-semibold wrap-anywhere">
                {recordName(house, kind, id)}
              </span>
              <span className="block text-[14px] text-ink-2 wrap-anywhere">
                {[recordFacts(house, kind, id, print), changedWords(id)].filter(Boolean).join(' · ')}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      {ids.length > 0 && shown.length === 0 && <p className="p-2">Nothing here bears that name.</p>}
    </>
  );
}

/** The house library of materials, all at once. */
function NoMaterials() {
  const { write, busy } = useWriteSetUp();
  const [failed, setFailed] = useState(false);
  async function take() {
    const at = new Date().toISOString();
    const result = await write(
      Object.entries(MATERIAL_LIBRARY).map(([subjectId, body]) =>
        firstVersion('material', { id: newId(), subjectId, at, body }),
      ),
      null,
    );
    setFailed(result.kind !== 'written');
  }
  return (
    <Empty inside title="No materials yet">
      Runs are weighed by what went in. Start with the {Object.keys(MATERIAL_LIBRARY).length} material classes of the
      house library; each can be changed.
      <span className="mt-3 block">
        <Button needs={['setUp', 'everySite']} look="solid" disabled={busy} onClick={() => void take()}>
          Take the house library
        </Button>
      </span>
      {failed && (
        <span className="mt-2 block font-semibold text-stop">Not saved: the server does not answer. Try again.</span>
      )}
    </Empty>
  );
}
