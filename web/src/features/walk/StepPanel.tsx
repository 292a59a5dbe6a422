import { type ReactNode, useEffect, useRef, useState } from "react";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Check, Field } from "../../ui/Field";
import { Keypad } from "../../ui/Keypad";
import { Notice } from "../../ui/Notice";
import { useNarrow } from "../../ui/useNarrow";
import { type Asks, asksOf, boxLabel, entered, type JobStep, proposal, type Sets } from "./steps";

interface StepPanelProps {
  step: JobStep;
  then?: JobStep;
  number: number;
  of: number;
  refused?: string;
  trouble?: string;
  busy: boolean;
  sets: Sets;
  /** What is to be thought over before a figure is kept; the same once more keeps it. */
  doubt?: (figure: number) => string | undefined;
  /** Something else is pressed instead of the one key. */
  instead?: boolean;
  /** What bears on this step beside its own words. */
  children?: ReactNode;
  onDo: (figure: number | undefined, word: string | undefined) => void;
}

const BOXED: ReadonlySet<Asks> = new Set(["COUNT", "HEIGHT", "LASH", "MARK", "READ"]);
const KEYPAD: Record<Sets, "gap" | "turns" | "load"> = { LASH: "gap", TURNS: "turns", LENGTH: "load" };

/** One step, large: what to do, what can hurt, what to look for, and one key to say it is done. */
export function StepPanel(props: StepPanelProps) {
  const { step, then, number, of, refused, trouble, busy, sets, doubt, instead, children, onDo } = props;
  const { unit } = useSettings();
  const narrow = useNarrow();
  const [text, setText] = useState(() => proposal(step));
  const [unclear, setUnclear] = useState<string>();
  const [doubted, setDoubted] = useState<{ of: string; words: string }>();
  const [read, setRead] = useState(false);
  const [why, setWhy] = useState("");
  const first = useRef<HTMLInputElement>(null);
  const button = useRef<HTMLButtonElement>(null);
  const asks = asksOf(step);
  const box = BOXED.has(asks);
  const outOfLimit = asks === "READ" && trouble !== undefined;
  const submit = (said = text) => {
    if (busy) return;
    const e = entered(step, said, unit, sets);
    if ("trouble" in e) return setUnclear(e.trouble);
    setUnclear(undefined);
    const doubts = e.figure === undefined || said === doubted?.of ? undefined : doubt?.(e.figure);
    setDoubted(doubts === undefined ? undefined : { of: said, words: doubts });
    if (doubts === undefined) onDo(e.figure, asks === "READ" ? why.trim() || undefined : e.word);
  };
  const wrong = unclear ?? trouble ?? refused;
  // biome-ignore lint/correctness/useExhaustiveDependencies: after a refusal, and when what went before is in, the keys go to the step again
  useEffect(() => {
    first.current?.select();
    (first.current ?? button.current)?.focus();
  }, [wrong, busy]);
  return (
    <form
      className="scribed grid content-start gap-4 rounded p-5"
      aria-label="Step"
      onSubmit={(e) => {
        e.preventDefault();
        submit();
      }}
    >
      <p className="text-muted">
        Step <span className="num text-xl text-ink">{number}</span> of{" "}
        <span className="num text-xl">{of}</span>
      </p>
      <h2 className="text-4xl leading-tight font-extrabold" data-step={step.id}>
        {step.title}
      </h2>
      {step.caution && <Notice tone="care">{step.caution}</Notice>}
      {step.look.length > 0 && (
        <ul className={asks === "ACCEPT" ? "grid list-disc gap-2 pl-6 text-xl" : "list-disc pl-6 text-lg"}>
          {step.look.map((l) => (
            <li key={l}>{l}</li>
          ))}
        </ul>
      )}
      {asks === "ACCEPT" && (
        <Check
          label="I have read them, and so has whoever helps"
          checked={read}
          autoFocus
          onChange={(e) => setRead(e.target.checked)}
        />
      )}
      {box && (
        <label className="grid gap-1 text-lg font-semibold text-accent">
          {boxLabel(step, unit, sets)}
          <input
            ref={first}
            value={text}
            inputMode={asks === "MARK" ? "text" : narrow ? "none" : "decimal"}
            autoComplete="off"
            readOnly={busy}
            aria-invalid={Boolean(unclear)}
            onChange={(e) => setText(e.target.value)}
            className="num min-h-24 w-full rounded border-2 border-accent bg-raised px-4 text-7xl text-ink aria-invalid:border-tight"
          />
        </label>
      )}
      {box && narrow && asks !== "MARK" && (
        <Keypad
          of={asks === "LASH" ? KEYPAD[sets] : "load"}
          onKey={(k) => setText((t) => (k === "⌫" ? t.slice(0, -1) : t + k))}
          onEnter={() => submit()}
        />
      )}
      {outOfLimit && <Field label="Why it may stand" value={why} onChange={(e) => setWhy(e.target.value)} />}
      {children}
      {wrong && <Notice tone="stop">{wrong}</Notice>}
      {doubted && <Notice tone="ask">{doubted.words}: ⏎ once more keeps it so.</Notice>}
      {busy && (
        <p role="status" className="text-muted">
          On its way to Shim: the walk goes on with its answer.
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <Button
          ref={button}
          look="now"
          type="submit"
          className={`min-h-16 min-w-60 text-2xl ${instead ? "hidden" : ""}`}
          disabled={busy || instead || (asks === "ACCEPT" && !read)}
        >
          {asks === "GAP"
            ? "In, and a gap shows ⏎"
            : asks === "OUT"
              ? step.word === "AGAIN"
                ? "Out, to go back in ⏎"
                : "Out, to scrap ⏎"
              : step.act === "SIGN"
                ? "Sign it off ⏎"
                : "Done ⏎"}
        </Button>
        {asks === "GAP" && (
          <Button className="min-h-16" onClick={() => submit("NO_GAP")}>
            No gap
          </Button>
        )}
        {asks === "OUT" && (
          <>
            <Button className="min-h-16" onClick={() => submit("SPARE")}>
              To the spares
            </Button>
            <Button className="min-h-16" onClick={() => submit("BROKEN")}>
              Scrap: broken
            </Button>
          </>
        )}
      </div>
      {then && (
        <p className="border-t border-hair pt-3 text-muted">
          Then: <span className="text-ink">{then.title}</span>
        </p>
      )}
    </form>
  );
}
