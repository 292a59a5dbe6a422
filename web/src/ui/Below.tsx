import { type ReactNode, startTransition, useEffect, useState } from "react";

/**
 * What lies below what a page is opened for: drawn once that can be seen. For what is longer than a
 * screen: shorter, it would leave room that others then fill.
 */
export function Below({ children }: { children: ReactNode }) {
  const [now, setNow] = useState(false);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    // The frame after this one shows what was drawn first; only then there is time.
    const frame = requestAnimationFrame(() => {
      timer = setTimeout(() => startTransition(() => setNow(true)));
    });
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(timer);
    };
  }, []);
  // Where all is one column its place is kept, so that what comes under it does not jump.
  return now ? children : <div className="min-h-dvh min-[1000px]:hidden" />;
}
