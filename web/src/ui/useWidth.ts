import { type RefObject, useEffect, useRef, useState } from "react";

/** Width of an element in pixels, so that a drawing fits it without stretching its letters. */
export function useWidth<T extends Element>(first: number): [RefObject<T | null>, number] {
  const ref = useRef<T>(null);
  const [width, setWidth] = useState(first);
  useEffect(() => {
    const el = ref.current;
    if (!el) return;
    const watch = new ResizeObserver(([entry]) =>
      setWidth(Math.round(entry?.contentRect.width ?? 0) || first),
    );
    watch.observe(el);
    return () => watch.disconnect();
  }, [first]);
  return [ref, width];
}
