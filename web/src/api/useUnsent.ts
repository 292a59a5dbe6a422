import { useEffect, useState } from "react";

/** How many parcels wait; while any does, the first is sent again and again until Shim answers. */
export function useUnsent<P>(waiting: () => P[], sendAgain: (parcel: P) => Promise<unknown>) {
  const [unsent, setUnsent] = useState(() => waiting().length);
  const count = () => setUnsent(waiting().length);
  // biome-ignore lint/correctness/useExhaustiveDependencies: both functions say the same at every drawing
  useEffect(() => {
    if (unsent === 0) return;
    const timer = setInterval(() => {
      const [next] = waiting();
      if (next) {
        sendAgain(next)
          .catch(() => undefined)
          .finally(count);
      } else count();
    }, 1500);
    return () => clearInterval(timer);
  }, [unsent]);
  return { unsent, count };
}
