import { useEffect, useRef } from 'react';
import { useAppSelector } from './store.js';

const takesText = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

/** Keys that act while no field has the focus. Letters can be switched off; arrows, Enter and "/" stay. */
export function useLetters(keys: Readonly<Record<string, () => void>>): void {
  const letters = useAppSelector((s) => s.prefs.letters);
  const current = useRef(keys);
  useEffect(() => {
    current.current = keys;
  });
  useEffect(() => {
    function onKey(event: KeyboardEvent) {
      if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || takesText(event.target)) return;
      if (document.querySelector('[role=dialog]')) return;
      const single = /^[a-z?]$/i.test(event.key);
      if (single && !letters) return;
      const act = current.current[event.key.length === 1 ? event.key.toLowerCase() : event.key];
      if (!act) return;
      event.preventDefault();
      act();
    }
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [letters]);
}
