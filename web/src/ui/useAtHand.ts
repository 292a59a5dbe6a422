import { useEffect, useRef, useState } from "react";

/**
 * Whether an answer came since this page was opened; what was seen last and restored is older. The
 * query itself does not know: to it a restored answer is one fetched after mounting.
 */
export function useAnsweredSince(answeredAt: number): boolean {
  const [opened] = useState(Date.now);
  return answeredAt >= opened;
}

/**
 * What a person has at hand on a page that may open with what was seen last. Until something is done,
 * or Shim's own answer is here, it follows what is known, so that work goes on where it really stands;
 * then it moves only by the person's hand.
 */
export function useAtHand<T>(first: T, answeredNow: boolean) {
  const held = useRef<{ now: T }>(undefined);
  const [shown, setShown] = useState<{ now: T }>();
  const put = (now: T) => {
    held.current = { now };
    setShown(held.current);
  };
  useEffect(() => {
    if (answeredNow && !held.current) put(first);
  });
  return {
    shown: shown ? shown.now : first,
    /** As it is this moment, also where it is not drawn yet. */
    latest: () => (held.current ? held.current.now : first),
    put,
  };
}
