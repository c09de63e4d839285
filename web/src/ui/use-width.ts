import { useLayoutEffect, useRef, useState } from 'react';

/** Width of an element, following its changes. */
export function useWidth<E extends HTMLElement>(initial: number): [React.RefObject<E | null>, number] {
  const ref = useRef<E | null>(null);
  const [width, setWidth] = useState(initial);
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return;
    const measure = () => setWidth(Math.floor(element.clientWidth) || initial);
    measure();
    if (typeof ResizeObserver === 'undefined') return;
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, [initial]);
  return [ref, width];
}
