import { type KeyboardEvent, useEffect, useRef, useState } from "react";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Keypad } from "../../ui/Keypad";
import { Notice } from "../../ui/Notice";
import { nth } from "../../ui/nth";
import { useNarrow } from "../../ui/useNarrow";
import { say } from "../../words/said";
import { Advice } from "./Advice";
import { EMPTY_ENTER, enteredIn, type Step } from "./flow";
import { HeldReading } from "./HeldReading";
import { LookRow } from "./LookRow";
import type { RoundParcel } from "./overlay";
import { PartFitted } from "./PartFitted";
import { type Act, askedNow, type Hand } from "./roundFlow";
import { Traps } from "./Traps";
import type { Round, ValveView } from "./useRound";
import { ValveHead } from "./ValveHead";

interface ValvePanelProps {
  round: Round;
  valve: ValveView;
  inHand: Hand;
  parcels: readonly RoundParcel[];
  there: boolean;
  act: (act: Act) => void;
  onPassed: () => void;
  onMove: (by: number) => void;
}

const ASKED: Record<Step, string> = {
  FOUND: "As found",
  SURE: "As found, read again",
  LEFT: "As left: lock it, then read again",
  AGAIN: "As left, read again after setting",
  DONE: "Done",
};
/** Where nothing turns, as left is not read again: it is the part that went in. */
function asked(step: Step, valve: ValveView): string {
  if (valve.preloadTarget?.unit !== "INCH" || step === "DONE") return ASKED[step];
  return step === "LEFT" || step === "AGAIN" ? "As left:" : `${ASKED[step]}:`;
}

const SPRINGS = ["WHOLE", "BROKEN", "LOOSE"] as const;
const ROCKERS = ["WHOLE", "WORN", "LOOSE"] as const;

/**
 * One valve: what it should be, what it was, the figure being entered, what to do about it. The box
 * stays the same one from valve to valve, so that no key is ever typed into nothing.
 */
export function ValvePanel(props: ValvePanelProps) {
  const { round, valve, inHand, parcels, there, act, onPassed, onMove } = props;
  const { unit } = useSettings();
  const narrow = useNarrow();
  const box = useRef<HTMLInputElement>(null);
  const [noting, setNoting] = useState(false);
  const { text, trouble, sureOut, passed } = inHand;
  const step = askedNow(inHand, valve);

  // biome-ignore lint/correctness/useExhaustiveDependencies: the box takes the keys again after each step
  useEffect(() => {
    if (!noting) box.current?.focus();
  }, [step, there, noting, valve.position, parcels.some((p) => p.held)]);

  const look = (change: Extract<Act, { do: "look" }>["change"]) => act({ do: "look", change });
  const letters: Record<string, () => void> = {
    s: () => look({ spring: turn(SPRINGS, valve.spring) }),
    r: () => look({ rocker: turn(ROCKERS, valve.rocker) }),
    k: () => act({ do: "skip" }),
    n: () => setNoting(true),
    p: onPassed,
    u: () => act({ do: "takeBack" }),
  };
  const key = (e: KeyboardEvent) => {
    if (e.ctrlKey || e.metaKey || e.altKey) return;
    const empty = inHand.text === "";
    const command = empty ? letters[e.key.toLowerCase()] : undefined;
    if (e.key === "Enter") act({ do: "enter" });
    else if (e.key.toLowerCase() === "a" && round.leavesWhatIsIn) act({ do: "setAnyway" });
    else if (command) command();
    else if (empty && e.key === "ArrowRight") onMove(1);
    else if (empty && e.key === "ArrowLeft") onMove(-1);
    else return;
    e.preventDefault();
  };
  const type = (next: string) => act({ do: "type", text: next });

  return (
    <section
      className="scribed flex flex-1 flex-col gap-3 rounded p-4"
      aria-label={`Valve ${valve.position}`}
    >
      <div className="grid gap-4 min-[760px]:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <div className="flex flex-col gap-2">
          <ValveHead valve={valve} />
          <label htmlFor="figure" className="text-lg font-semibold text-accent">
            {there || step !== "FOUND" ? asked(step, valve) : "As found, once the crank is at its stop"}
            <span className="text-muted"> {enteredIn(round, valve, step, unit)}</span>
          </label>
          <input
            id="figure"
            ref={box}
            value={text}
            autoComplete="off"
            inputMode={narrow ? "none" : "decimal"}
            aria-invalid={Boolean(trouble)}
            aria-describedby="figure-note"
            placeholder={step === "DONE" ? (valve.left?.typed ?? valve.found?.typed) : ""}
            onChange={(e) => type(e.target.value)}
            onKeyDown={key}
            className="num h-24 w-full rounded border-2 border-accent bg-raised px-4 text-[5.2rem] leading-none min-[1000px]:h-32 min-[1000px]:text-[6.5rem] placeholder:text-muted aria-invalid:border-tight"
          />
          <p
            id="figure-note"
            className={`min-h-6 ${trouble ? "font-semibold text-tight" : "text-muted"}`}
            role={trouble ? "alert" : undefined}
          >
            {trouble ? `✕ ${trouble}` : sureOut ? "" : hint(round, step, there)}
          </p>
          {step !== "DONE" && (
            <Traps traps={step === "FOUND" || step === "SURE" ? round.trapsFound : round.trapsLeft} />
          )}
          {narrow && (
            <Keypad
              onKey={(k) => type(k === "⌫" ? text.slice(0, -1) : text + k)}
              onEnter={() => act({ do: "enter" })}
              of={valve.preloadTarget ? (valve.preloadTarget.unit === "TURNS" ? "turns" : "load") : "gap"}
            />
          )}
        </div>
        <div className="flex min-w-0 flex-col gap-3">
          {passed && <Passed valves={round.valves} passed={passed} act={act} />}
          <HeldReading valve={valve} parcels={parcels} hand={inHand} act={act} />
          {(step === "SURE" || step === "AGAIN") && valve.ask && (
            <Notice tone="ask">{say(valve.ask, unit)}</Notice>
          )}
          {sureOut && (
            <Notice tone="ask">
              It is outside its tolerance. ⏎ once more leaves it so; or set it and enter what it reads.
            </Notice>
          )}
          <Advice valve={valve} step={step} />
          {!(valve.preloadTarget && valve.found) && (
            <PartFitted
              round={round}
              valve={valve}
              value={inHand.partIn}
              onChange={(inch) => act({ do: "part", inch })}
            />
          )}
        </div>
      </div>
      <span className="flex-1" />
      <LookRow
        key={valve.position}
        valve={valve}
        onLook={look}
        noting={noting}
        onNoting={setNoting}
        wanted={round.lookAtSprings}
      />
      <div className="flex flex-wrap gap-2">
        {step === "LEFT" && (
          <Button
            look={there && (valve.foundVerdict ?? "IN") === "IN" ? "now" : "plain"}
            onClick={() => act({ do: "enter" })}
          >
            As found is fine ⏎
          </Button>
        )}
        {step === "DONE" && (
          <Button look="now" onClick={() => act({ do: "next" })}>
            Next valve ⏎
          </Button>
        )}
        {valve.found && (
          <Button onClick={() => act({ do: "correct", phase: "FOUND" })}>Correct as found</Button>
        )}
        {valve.left && <Button onClick={() => act({ do: "correct", phase: "LEFT" })}>Correct as left</Button>}
        {(valve.found || passed) && <Button onClick={() => act({ do: "takeBack" })}>Take back (U)</Button>}
        {!valve.left && <Button onClick={() => act({ do: "skip" })}>Skip, come back (K)</Button>}
      </div>
    </section>
  );
}

/** The valve that the house rule has just passed, with the way back to it. */
function Passed({
  valves,
  passed,
  act,
}: {
  valves: ValveView[];
  passed: NonNullable<Hand["passed"]>;
  act: (act: Act) => void;
}) {
  const still = valves.find((v) => v.position === passed.valve)?.left;
  if (!still) return null;
  return (
    <Notice tone="know">
      <p className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <strong className="num text-2xl">{passed.valve}</strong>
        <span className="num text-2xl">{passed.found}</span>
        <span className="text-ok">✓ in, left as found</span>
        <Button onClick={() => act({ do: "setAnyway" })}>Set it anyway (A)</Button>
      </p>
    </Notice>
  );
}

function hint(round: Round, step: Step, there: boolean): string {
  if (!there) return "⏎ alone: the crank is at its stop";
  return step === "FOUND" && round.leavesWhatIsIn
    ? "⏎ passes a valve that is in · A sets it anyway"
    : EMPTY_ENTER[step];
}

function turn<T extends string>(order: readonly T[], now: string | undefined): T {
  return nth(order, (order.indexOf(now as T) + 1) % order.length);
}
