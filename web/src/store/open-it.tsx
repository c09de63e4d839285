import type { StoreContainer } from '@winter-jar/contracts';
import { exactly } from '../entry/deed.js';
import { Button } from '../ui/button.js';
import { useStoreWrite } from './use-store-write.js';

/** New oil that nobody has opened yet: one tap keeps the day. */
export function OpenIt({ one, zone }: { one: StoreContainer; zone: string }) {
  const { save, busy } = useStoreWrite({ zone });
  if (one.shelf.group !== 'new' || one.state.openedAt) return null;
  const write = () => {
    const { deed } = exactly('opened', new Date().toISOString(), {});
    void save(deed, { subject: { type: 'container', id: one.id }, words: `${one.container.name} opened` });
  };
  return (
    <Button needs="write" onClick={write} disabled={busy} className="w-full justify-center">
      Opened now
    </Button>
  );
}
