import type { StoreContainer } from '@winter-jar/contracts';
import {
  DndContext,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { SHELF_GROUPS, type ShelfGroup } from '@winter-jar/core';
import { Plus, Recycle } from 'lucide-react';
import { useNavigate, useSearchParams } from 'react-router';
import { useWide } from '../device/use-wide.js';
import { LinkButton } from '../ui/button.js';
import { Empty } from '../ui/page-state.js';
import { PageTitle } from '../ui/page-title.js';
import type { Words } from '../words/words.js';
import { GROUP_WORDS } from '../words/store-words.js';
import { ContainerSheet } from './container-sheet.js';
import { shelfLine, wordsAt } from './container-facts.js';
import { Stock } from './stock.js';
import { useMayDo } from '../ui/may.js';
import { WhereItGoes } from './where-it-goes.js';
import { WithStore, type StoreProps } from './store-screen.js';
import { Vessel, vesselSize, vesselWords } from './vessel.js';

/** A finger that only taps does not drag. */
const DRAG_FROM_PX = 8;

/** The shelf: every container to scale, by what it waits for; the chosen one beside it. */
export function StorePage() {
  return <WithStore>{(props) => <Shelf {...props} />}</WithStore>;
}

function Shelf(props: StoreProps) {
  const { store, words } = props;
  const mayDo = useMayDo();
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const wide = useWide();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: DRAG_FROM_PX } }));
  const chosen = store.containers.find((c) => c.id === search.get('at')) ?? null;
  const shown = chosen ?? (wide ? (firstToDo(store.containers) ?? null) : null);
  const dropped = ({ active, over }: DragEndEvent) => {
    if (over && over.id !== active.id) void navigate(`/store/${active.id}/pour?to=${over.id}`);
  };
  return (
    <div className="flex flex-1 flex-col wide:flex-row">
      <PageTitle title="Oil store" />
      <main className="min-w-0 flex-1 px-4 pb-10 pt-5 wide:px-6">
        <div className="flex flex-wrap items-center gap-x-4 gap-y-3">
          <h1 className="mr-auto text-[26px]">{sentence(store.containers, words)}</h1>
          <LinkButton to="/store/bring-in" look="solid">
            <Plus size={18} aria-hidden="true" /> Bring oil in
          </LinkButton>
          <LinkButton to="/store/waste">
            <Recycle size={18} aria-hidden="true" /> Waste record
          </LinkButton>
        </div>
        {store.containers.length === 0 ? (
          <Empty inside title="No container yet">
            Put the cans, jars and drums that stand on your shelf into the set-up, then bring their oil in.
          </Empty>
        ) : (
          <DndContext sensors={sensors} onDragEnd={dropped}>
            <Groups {...props} chosenId={shown?.id ?? null} />
          </DndContext>
        )}
        {store.containers.length > 1 && mayDo('write') && (
          <p className="no-print mt-3 text-[14px] text-ink-2">
            Drag one onto another to pour, or choose one and use “Pour”.
          </p>
        )}
        <LinkButton to="/set-up/container/new" look="plain" className="mt-2">
          Add a container
        </LinkButton>
        <Stock {...props} />
        {store.containers.length > 0 && mayDo('everySite') && <WhereItGoes {...props} />}
      </main>
      {shown && (
        <aside
          aria-label={shown.container.name}
          className="order-first border-b-2 border-ink bg-sheet p-5 wide:order-none wide:w-[372px] wide:shrink-0 wide:border-b-0 wide:border-l wide:border-rule"
        >
          <ContainerSheet one={shown} {...props} />
        </aside>
      )}
    </div>
  );
}

/** What waits for hands before what only stands there. */
const TO_DO: readonly ShelfGroup[] = ['toRead', 'toPour', 'toFilter', 'ready', 'settling', 'refused', 'new'];
const firstToDo = (all: readonly StoreContainer[]): StoreContainer | undefined =>
  TO_DO.flatMap((group) => all.filter((c) => c.shelf.group === group))[0];

function sentence(all: readonly StoreContainer[], { print }: Words): string {
  const sum = (groups: readonly ShelfGroup[]) =>
    all.filter((c) => groups.includes(c.shelf.group)).reduce((s, c) => s + c.shelf.heldMl, 0);
  const good = sum(['new', 'ready', 'toFilter', 'filter', 'toPour', 'toRead', 'settling']);
  const settling = sum(['settling']);
  if (all.length === 0) return 'Oil store';
  return `${print.volume(good)} on the shelf${settling > 0 ? `, ${print.volume(settling)} settling` : ''}`;
}

function Groups({ store, house, words, chosenId }: StoreProps & { chosenId: string | null }) {
  const largest = Math.max(...store.containers.map((c) => c.container.holdsMl));
  const groups = SHELF_GROUPS.map((group) => ({
    group,
    members: store.containers.filter((c) => c.shelf.group === group),
  })).filter(({ members }) => members.length > 0);
  return (
    <div className="mt-5 flex flex-wrap gap-x-6 gap-y-6">
      {groups.map(({ group, members }) => (
        <section key={group} aria-label={GROUP_WORDS[group]} className="min-w-[104px]">
          <h2 className="border-b-[3px] border-ink pb-1 text-[16px]">{GROUP_WORDS[group]}</h2>
          <ul className="mt-3 flex flex-wrap items-end gap-x-3 gap-y-4">
            {members.map((one) => (
              <OnTheShelf
                key={one.id}
                one={one}
                chosen={one.id === chosenId}
                size={vesselSize(one.container.holdsMl, largest, 84)}
                house={house}
                store={store}
                words={words}
              />
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}

function OnTheShelf({
  one,
  chosen,
  size,
  house,
  words,
}: StoreProps & { one: StoreContainer; chosen: boolean; size: { width: number; height: number } }) {
  const navigate = useNavigate();
  const mayDo = useMayDo();
  const drag = useDraggable({ id: one.id, disabled: one.shelf.heldMl === 0 || !mayDo('write') });
  const drop = useDroppable({ id: one.id });
  const { container, shelf, state } = one;
  const here = wordsAt(container.siteId, house, words);
  const moved = drag.transform ? `translate(${drag.transform.x}px, ${drag.transform.y}px)` : undefined;
  return (
    <li
      ref={drop.setNodeRef}
      className={`w-[104px] rounded-[6px] ${chosen ? 'outline-2 outline-offset-4 outline-ink' : ''} ${drop.isOver && !drag.isDragging ? 'bg-ground outline-2 outline-offset-4 outline-dashed outline-ink' : ''}`}
    >
      <button
        type="button"
        ref={drag.setNodeRef}
        {...drag.listeners}
        onClick={() => void navigate(`/store?at=${one.id}`, { replace: true })}
        aria-pressed={chosen}
        aria-label={`${vesselWords(container.name, shelf, words.print)}; ${shelfLine(one, here)}`}
        className={`flex w-full touch-manipulation flex-col items-start gap-1 text-left ${drag.isDragging ? 'relative z-10 opacity-80' : ''}`}
        style={moved ? { transform: moved } : undefined}
      >
        <Vessel
          container={container}
          shelf={shelf}
          product={house.oilProduct[shelf.blend.productIds[0] ?? ''] ?? null}
          colour={state.reading?.colour ?? null}
          {...size}
          label={null}
        />
        <span className="font-semibold leading-tight wrap-anywhere">{container.name}</span>
        {shelf.heldMl > 0 && <span className="figure text-[15px]">{words.print.volume(shelf.heldMl)}</span>}
        <span className="text-[13px] leading-tight text-ink-2 wrap-anywhere">{shelfLine(one, here)}</span>
      </button>
    </li>
  );
}
