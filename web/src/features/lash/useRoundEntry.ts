import { useQueryClient } from "@tanstack/react-query";
import { newId } from "../../api/ids";
import { round as roundQuery } from "../../api/queries";
import { post, waiting } from "../../outbox/outbox";
import { useSettings } from "../../shell/settings";
import { useAtHand } from "../../ui/useAtHand";
import { nextValve } from "./flow";
import { ofRound, withWaiting } from "./overlay";
import { type Act, EMPTY_HAND, type Hand, type Outcome, step } from "./roundFlow";
import type { Round } from "./useRound";

/**
 * Holds what a person has in hand at a round. Every act works on what is known at that moment, not on
 * what was drawn last: keys that come faster than the screen lose nothing.
 */
export function useRoundEntry(
  round: Round,
  hand: string,
  answeredNow: boolean,
  goes: (out: Outcome, before: Hand, act: Act) => Hand,
) {
  const queries = useQueryClient();
  const { unit } = useSettings();
  const {
    shown,
    latest: inHand,
    put,
  } = useAtHand<Hand>({ ...EMPTY_HAND, at: nextValve(round, -1) ?? 0 }, answeredNow);
  const latest = (): Round => {
    const answered = queries.getQueryData(roundQuery(round.id).queryKey) ?? round;
    return withWaiting(answered, ofRound(waiting(), round.id));
  };
  const act = (what: Act) => {
    const before = inHand();
    const ground = { hand, unit, newId, now: () => new Date().toISOString() };
    const out = step(before, what, latest(), ground);
    try {
      if (out.keep.length > 0) post(...out.keep);
      put(goes(out, before, what));
    } catch (e) {
      put({ ...before, trouble: (e as Error).message });
    }
  };
  return { inHand: shown, act };
}
