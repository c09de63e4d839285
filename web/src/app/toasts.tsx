import { Toast } from 'radix-ui';
import { useUndo } from '../entry/use-undo.js';
import { Button } from '../ui/button.js';
import { useAppDispatch, useAppSelector } from '../device/store.js';
import { toastsSlice } from '../device/toasts-slice.js';

const SHOWN_MS = 12_000;

/** After each write: what was written, and Undo. */
export default function Toasts() {
  const toasts = useAppSelector((s) => s.toasts);
  const dispatch = useAppDispatch();
  const { undo } = useUndo();
  return (
    <Toast.Provider duration={SHOWN_MS} swipeDirection="down" label="What was saved">
      {toasts.map((toast) => (
        <Toast.Root
          key={toast.id}
          onOpenChange={(open) => !open && dispatch(toastsSlice.actions.dismissed(toast.id))}
          className="flex items-center gap-4 rounded-[6px] border border-ink bg-ink p-3 pl-5 text-on-ink"
        >
          <Toast.Title className="flex-1 font-semibold">{toast.words}</Toast.Title>
          {toast.undo && (
            <Toast.Action asChild altText="Undo what was saved">
              <Button
                onClick={() => {
                  dispatch(toastsSlice.actions.dismissed(toast.id));
                  if (toast.undo) void undo(toast.undo);
                }}
              >
                Undo
              </Button>
            </Toast.Action>
          )}
        </Toast.Root>
      ))}
      <Toast.Viewport className="no-print fixed bottom-4 left-1/2 z-40 m-0 flex w-[min(440px,calc(100vw-24px))] -translate-x-1/2 list-none flex-col gap-2 p-0" />
    </Toast.Provider>
  );
}
