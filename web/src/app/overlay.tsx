import { Dialog } from 'radix-ui';
import { lazy, Suspense } from 'react';

export const loadPalette = () => import('./palette.js');
const Palette = lazy(loadPalette);
const KeysDialog = lazy(() => import('./keys-dialog.js'));
const PrefsDialog = lazy(() => import('./prefs-dialog.js'));

export type Overlaid = 'palette' | 'keys' | 'prefs';

/** What lies over the page until it is closed; then the focus goes back to where it was. */
export default function Overlay({
  open,
  close,
  show,
}: {
  open: Overlaid;
  close: () => void;
  show: (what: Overlaid) => void;
}) {
  return (
    <Dialog.Root open onOpenChange={(isOpen) => !isOpen && close()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-20 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed left-1/2 top-[10vh] z-30 max-h-[80vh] w-[min(560px,calc(100vw-32px))] -translate-x-1/2 overflow-auto rounded-[6px] border border-ink bg-sheet p-5 text-ink"
        >
          <Suspense fallback={<Dialog.Title>One moment …</Dialog.Title>}>
            {open === 'palette' && <Palette close={close} show={show} />}
            {open === 'keys' && <KeysDialog />}
            {open === 'prefs' && <PrefsDialog close={close} />}
          </Suspense>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
