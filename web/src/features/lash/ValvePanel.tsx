import { type KeyboardEvent, useEffect, useRef, useState } from "react";
import { ApiProblem, wordsOf } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Keypad } from "../../ui/Keypad";
import { Notice } from "../../ui/Notice";
import { readGap, readTurns, type Typed, unitName } from "../../units/lash";
import { Advice } from "./Advice";
import { EMPTY_ENTER, measuresFirst, type Step, stepOf } from "./flow";
import { LookRow } from "./LookRow";
import { Overtaken } from "./Overtaken";
import { PartFitted } from "./PartFitted";
import type { Phase, Round, Said, useRound, ValveView } from "./useRound";
import { ValveHead } from "./ValveHead";

interface ValvePanelProps {
  round: Round;
  valve: ValveView;
  work: ReturnType<typeof useRound>;
  there: boolean;
  narrow: boolean;
  onThere: () => void;
  onPassed: () => void;
  onNext: (now: Round) => void;
  onMove: (by: number) => void;
}

const ASKED: Record<Step, string> = {
  FOUND: "As found",
  SURE: "As found, read again",
  LEFT: "As left: lock it, then read again",
  AGAIN: "As left, read again after setting",
  DONE: "Done",
};

function said(typed: Typed, text: string): Said | null {
  switch (typed.kind) {
    case "figure":
      return { form: "FIGURE", figure: typed.inch, typed: text };
    case "goNoGo":
      return { form: "GO_NO_GO", figure: typed.goIn, secondFigure: typed.noGoIn, typed: text };
    case "leaf":
      return { form: "LEAF", figure: typed.leafIn, feel: typed.feel, typed: text };
    case "turns":
      return { form: "TURNS", figure: typed.turns, typed: text };
    default:
      return null;
  }
}

const SPRINGS = ["WHOLE", "BROKEN", "LOOSE"] as const;
const ROCKERS = ["WHOLE", "WORN", "LOOSE"] as const;

/** One valve: what it should be, what it was, the figure being entered, what to do about it. */
export function ValvePanel(props: ValvePanelProps) {
  const { round, work, there, narrow, onThere, onPassed, onNext, onMove } = props;
  /** A reading being taken back is gone as soon as the key is pressed: the next figure is its successor. */
  const valve = without(props.valve, work.withdraw.isPending ? work.withdraw.variables : undefined);
  const takingBack = useRef<Promise<unknown>>(undefined);
  const { unit } = useSettings();
  const box = useRef<HTMLInputElement>(null);
  const [text, setText] = useState("");
  const [trouble, setTrouble] = useState<string>();
  const [correcting, setCorrecting] = useState<Phase>();
  const [sureOut, setSureOut] = useState(false);
  const [noting, setNoting] = useState(false);
  const [busy, setBusy] = useState(false);
  const [part, setPart] = useState<number | undefined>();
  /** What was typed for a step that another device finished meanwhile. */
  const [overtaken, setOvertaken] = useState<{ what: Said; phase: Phase }>();
  const [typedFor, setTypedFor] = useState<Phase>();
  const natural = stepOf(valve, (phase) => work.pending(valve.position, phase));
  const step: Step = correcting === "FOUND" ? "FOUND" : correcting === "LEFT" ? "AGAIN" : natural;
  const phase: Phase = step === "FOUND" || step === "SURE" ? "FOUND" : "LEFT";

  // biome-ignore lint/correctness/useExhaustiveDependencies: the box takes the keys again after each step
  useEffect(() => {
    if (!noting && !overtaken) box.current?.focus();
  }, [step, there, noting, overtaken]);

  /** The box is empty as soon as a figure is sent; a refusal puts it back. */
  const keep = async (what: Said, at: Phase) => {
    const sent = text;
    setTrouble(undefined);
    setText("");
    setBusy(true);
    try {
      await takingBack.current;
      const now = await work.read(valve, at, {
        partSizeIn: at === "LEFT" ? (part ?? valve.partNowIn) : part,
        ...what,
      });
      after(now, at);
    } catch (e) {
      if (!(e instanceof ApiProblem)) throw e;
      if (e.offline) {
        if (at === "LEFT") onNext(round);
      } else if (e.conflict) {
        setOvertaken({ what, phase: at });
      } else {
        setTrouble(wordsOf(e));
        setText(sent);
      }
    } finally {
      setBusy(false);
    }
  };
  const after = (now: Round, at: Phase) => {
    setCorrecting(undefined);
    setSureOut(false);
    const fresh = now.valves.find((v) => v.position === valve.position);
    if (!fresh) return;
    if (at === "LEFT" && stepOf(fresh, () => false) === "DONE") onNext(now);
    if (at === "FOUND" && measuresFirst(now) && fresh.foundVerdict !== "IN" && !fresh.ask && !fresh.left)
      onNext(now);
  };
  /** A figure belongs to the step it was begun at, whatever another device does meanwhile. */
  const type = (next: string) => {
    if (text === "") setTypedFor(phase);
    setText(next);
  };
  const emptyEnter = () => {
    if (!there) onThere();
    else if (step === "FOUND") setTrouble("enter what you found");
    else if (step === "SURE" && valve.found)
      void keep({ ...again(valve.found), note: "read again: it is so" }, "FOUND");
    else if (step === "LEFT" && valve.foundVerdict && valve.foundVerdict !== "IN" && !sureOut)
      setSureOut(true);
    else if (step === "LEFT") void keep({ form: "SAME" }, "LEFT");
    else onNext(round);
  };
  const enter = () => {
    const t = text.trim();
    if (busy) return;
    if (t === "") return emptyEnter();
    const typed = round.hydraulic ? readTurns(t) : readGap(t, unit);
    const what = said(typed, t);
    if (what && typedFor && typedFor !== phase && !correcting) {
      setOvertaken({ what, phase: typedFor });
      setText("");
    } else if (what) void keep(what, phase);
    else if (typed.kind === "unclear") setTrouble(typed.why);
  };
  const letters: Record<string, () => void> = {
    s: () => void work.look(valve, { spring: turn(SPRINGS, valve.spring) }),
    r: () => void work.look(valve, { rocker: turn(ROCKERS, valve.rocker) }),
    k: () => void work.look(valve, { skipped: true }).then(onNext),
    n: () => setNoting(true),
    p: onPassed,
    u: () => takeBack(),
  };
  const refused = (e: unknown) => setTrouble(e instanceof ApiProblem ? e.message : String(e));
  const takeBack = () => {
    const last = valve.left ?? valve.found;
    if (last) takingBack.current = work.withdraw.mutateAsync(last.id).catch(refused);
  };
  const key = (e: KeyboardEvent) => {
    const command = text === "" ? letters[e.key.toLowerCase()] : undefined;
    if (e.key === "Enter") enter();
    else if (command && !e.ctrlKey && !e.metaKey && !e.altKey) command();
    else if (text === "" && e.key === "ArrowRight") onMove(1);
    else if (text === "" && e.key === "ArrowLeft") onMove(-1);
    else return;
    e.preventDefault();
  };
  const wasText = valve.left?.typed ?? valve.found?.typed;

  return (
    <section
      className="scribed flex flex-1 flex-col gap-3 rounded p-4"
      aria-label={`Valve ${valve.position}`}
      aria-busy={busy || work.withdraw.isPending}
    >
      <div className="grid gap-4 min-[760px]:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <div className="flex flex-col gap-2">
          <ValveHead valve={valve} hydraulic={round.hydraulic} />
          <label htmlFor="figure" className="text-lg font-semibold text-accent">
            {there || step !== "FOUND" ? ASKED[step] : "As found, once the crank is at its stop"}
            <span className="text-muted">
              {" "}
              in {round.hydraulic ? "turns back to zero lash" : unitName(unit)}
            </span>
          </label>
          <input
            id="figure"
            ref={box}
            value={text}
            autoComplete="off"
            inputMode={narrow ? "none" : "decimal"}
            aria-invalid={Boolean(trouble)}
            aria-describedby="figure-note"
            placeholder={step === "DONE" ? wasText : ""}
            onChange={(e) => type(e.target.value)}
            onKeyDown={key}
            className="num h-24 w-full rounded border-2 border-accent bg-raised px-4 text-[5.2rem] leading-none min-[1000px]:h-32 min-[1000px]:text-[6.5rem] placeholder:text-muted aria-invalid:border-tight"
          />
          <p
            id="figure-note"
            className={`min-h-6 ${trouble ? "font-semibold text-tight" : "text-muted"}`}
            role={trouble ? "alert" : undefined}
          >
            {trouble
              ? `✕ ${trouble}`
              : sureOut
                ? ""
                : there
                  ? EMPTY_ENTER[step]
                  : "⏎ alone: the crank is at its stop"}
          </p>
          {narrow && (
            <Keypad
              onKey={(k) => type(k === "⌫" ? text.slice(0, -1) : text + k)}
              onEnter={enter}
              of={round.hydraulic ? "turns" : "gap"}
            />
          )}
        </div>
        <div className="flex min-w-0 flex-col gap-3">
          {overtaken && (
            <Overtaken
              valve={valve}
              typed={overtaken.what.typed ?? "as found"}
              phase={overtaken.phase}
              onTheirs={() => setOvertaken(undefined)}
              onMine={() => {
                setOvertaken(undefined);
                void keep(
                  { ...overtaken.what, why: "read anew, instead of the other hand's" },
                  overtaken.phase,
                );
              }}
            />
          )}
          {step === "SURE" && valve.ask && <Notice tone="ask">{valve.ask}</Notice>}
          {step === "AGAIN" && valve.ask && <Notice tone="ask">{valve.ask}</Notice>}
          {sureOut && (
            <Notice tone="ask">
              It is outside its tolerance. ⏎ once more leaves it so; or set it and enter what it reads.
            </Notice>
          )}
          <Advice round={round} valve={valve} step={step} />
          <PartFitted round={round} valve={valve} value={part} onChange={setPart} />
        </div>
      </div>
      <span className="flex-1" />
      <LookRow valve={valve} work={work} noting={noting} onNoting={setNoting} wanted={round.lookAtSprings} />
      <div className="flex flex-wrap gap-2">
        {step === "LEFT" && (
          <Button
            look={there && (valve.foundVerdict ?? "IN") === "IN" ? "now" : "plain"}
            onClick={emptyEnter}
          >
            As found is fine ⏎
          </Button>
        )}
        {step === "DONE" && (
          <Button look="now" onClick={() => onNext(round)}>
            Next valve ⏎
          </Button>
        )}
        {valve.found && <Button onClick={() => setCorrecting("FOUND")}>Correct as found</Button>}
        {valve.left && <Button onClick={() => setCorrecting("LEFT")}>Correct as left</Button>}
        {valve.found && <Button onClick={takeBack}>Take back (U)</Button>}
        {!valve.left && <Button onClick={letters.k}>Skip, come back (K)</Button>}
      </div>
    </section>
  );
}

const without = (valve: ValveView, readingId: string | undefined): ValveView =>
  readingId === undefined
    ? valve
    : {
        ...valve,
        found: valve.found?.id === readingId ? undefined : valve.found,
        left: valve.left?.id === readingId ? undefined : valve.left,
      };

function turn<T extends string>(order: readonly T[], now: string | undefined): T {
  return order[(order.indexOf(now as T) + 1) % order.length];
}

function again(r: NonNullable<ValveView["found"]>): Said {
  return {
    form: r.form,
    figure: r.figure,
    secondFigure: r.secondFigure,
    feel: r.feel,
    typed: r.typed,
    partSizeIn: r.partSizeIn,
  };
}
