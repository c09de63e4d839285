import { Toast } from 'radix-ui';
import { useCallback } from 'react';
import { useUndo } from '../entry/use-undo.js';
import { useWaiting } from '../sending/use-waiting.js';
import { Button } from '../ui/button.js';
import { useAppDispatch, useAppSelector } from '../device/store.js';
import { toastsSlice } from '../device/toasts-slice.js';

const SHOWN_MS = 12_000;

/** The page ends above the toasts, and what stays at its foot stands on them: they never lie over a button. */
function useRoomOnThePage() {
  return useCallback((toasts: HTMLElement | null) => {
    if (!toasts) return;
    const make = () => document.documentElement.style.setProperty('--toasts', `${toasts.offsetHeight}px`);
    const observer = new ResizeObserver(make);
    observer.observe(toasts);
    return () => {
      observer.disconnect();
      document.documentElement.style.removeProperty('--toasts');
    };
  }, []);
}

/** After each write: what was written, and Undo. */
export default function Toasts() {
  const toasts = useAppSelector((s) => s.toasts);
  const dispatch = useAppDispatch();
  const { undo } = useUndo();
  const waits = useWaiting().some(({ state }) => state === 'waiting');
  const room = useRoomOnThePage();
  return (
    <Toast.Provider duration={SHOWN_MS} swipeDirection="down" label="What was saved">
      {toasts.map((toast) => (
        <Toast.Root
          key={toast.id}
          onOpenChange={(open) => !open && dispatch(toastsSlice.actions.dismissed(toast.id))}
          className="mx-auto flex w-full max-w-[960px] items-center gap-4 bg-ink px-4 py-3 text-on-ink"
        >
          <Toast.Title className="flex-1 font-semibold">
            {toast.words}
            {waits && toast.undo && (
              <span className="block text-[14px] font-normal">
                Kept on this device; it is sent when there is a connection.
              </span>
            )}
          </Toast.Title>
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
      <Toast.Viewport
        ref={room}
        className="no-print fixed inset-x-0 bottom-0 z-40 m-0 flex list-none flex-col gap-px bg-ink p-0"
      />
    </Toast.Provider>
  );
}
