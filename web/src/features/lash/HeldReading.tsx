import { newId } from "../../api/ids";
import { discard, post } from "../../outbox/outbox";
import { Button } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import type { RoundParcel } from "./overlay";
import type { Act, Hand } from "./roundFlow";
import type { ValveView } from "./useRound";

interface HeldReadingProps {
  valve: ValveView;
  parcels: readonly RoundParcel[];
  hand: Hand;
  act: (act: Act) => void;
}

type Held = Extract<RoundParcel, { kind: "reading" }>;

/** A figure of this valve that Shim did not take: why, and what a person may do about it. */
export function HeldReading({ valve, parcels, hand, act }: HeldReadingProps) {
  const held = parcels.find(
    (p): p is Held => p.kind === "reading" && p.held && p.body.valve === valve.position,
  );
  if (!held) return null;
  const typed = held.body.typed ?? "as found";
  const phase = held.body.phase === "FOUND" ? "found" : "left";
  const theirs = held.body.phase === "FOUND" ? valve.found : valve.left;
  const twoHands = held.last?.status === 409 && theirs !== undefined && theirs.version >= 0;
  if (twoHands) {
    const mine = () => {
      discard(held.key);
      post({
        kind: "reading",
        roundId: held.roundId,
        readingId: theirs.id,
        body: { ...held.body, basedOn: theirs.version, why: "read anew, instead of the other hand's" },
      });
    };
    return (
      <Notice tone="stop">
        <p>
          {valve.position} as {phase}: {theirs.hand} has entered <strong>{theirs.typed ?? "as found"}</strong>
          ; you read <strong>{typed}</strong>.
        </p>
        <div className="mt-2 flex flex-wrap gap-2">
          <Button onClick={() => discard(held.key)}>Keep theirs</Button>
          <Button onClick={mine}>Put mine in its place</Button>
        </div>
      </Notice>
    );
  }
  const anew = () => {
    discard(held.key);
    if (hand.text === "" && held.body.typed) act({ do: "type", text: held.body.typed });
  };
  /** As a new entry: what made it impossible may be gone. */
  const again = () => {
    discard(held.key);
    post({ ...held, readingId: newId() });
  };
  return (
    <Notice tone="stop">
      <p>
        {valve.position} as {phase} <strong className="num text-2xl">{typed}</strong> is not taken:{" "}
        {held.last?.words}
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button onClick={anew}>Correct it</Button>
        <Button onClick={again}>Send it again</Button>
        <Button onClick={() => discard(held.key)}>Discard it</Button>
      </div>
    </Notice>
  );
}
