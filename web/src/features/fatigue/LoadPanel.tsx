import { type KeyboardEvent, type SetStateAction, useEffect, useRef, useState } from "react";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { FigureBox } from "../../ui/FigureBox";
import { Notice } from "../../ui/Notice";
import { takeKeys } from "../../ui/takeKeys";
import { heightText, heightUnit, loadText, loadUnit, percentText } from "../../units/load";
import { LivePart, useTester } from "../device/TesterPart";
import type { SpringTest, TestValve, useSpringTest } from "./useSpringTest";
import { askText } from "./words";

interface LoadPanelProps {
  test: SpringTest;
  valve: TestValve;
  again: boolean;
  work: ReturnType<typeof useSpringTest>;
  /** A figure was begun: it is for this spring, whatever comes in meanwhile. */
  onBegin?: () => void;
  onKept: (now: SpringTest) => void;
  onMove: (by: number) => void;
  onSkip: () => void;
  onEnd: () => void;
}

/** One spring: the figure being read, and what it says the moment it is kept. */
export function LoadPanel({
  test,
  valve,
  again,
  work,
  onBegin,
  onKept,
  onMove,
  onSkip,
  onEnd,
}: LoadPanelProps) {
  const { unit } = useSettings();
  const box = useRef<HTMLInputElement>(null);
  const [text, setText] = useState("");
  const [height, setHeight] = useState(() => heightText(valve.heightIn, unit));
  const [trouble, setTrouble] = useState<string>();
  const live = useTester(valve.position, valve.heightIn);
  const reading = valve.readings.length + 1;

  // biome-ignore lint/correctness/useExhaustiveDependencies: the box takes the keys again after each reading
  useEffect(() => takeKeys(box.current), [valve.readings.length]);

  const type = (next: SetStateAction<string>) => {
    onBegin?.();
    setText(next);
  };
  const keep = (typed: string, loadLbf?: number) => {
    try {
      const kept = work.read(valve.position, again, { text: typed, height, unit }, loadLbf);
      if ("trouble" in kept) return setTrouble(kept.trouble);
      setTrouble(undefined);
      setText("");
      onKept(kept.now);
    } catch (e) {
      setTrouble((e as Error).message);
    }
  };
  const enter = () => (text.trim() === "" ? onSkip() : keep(text));
  const takeBack = () => work.withdraw(valve.position);
  const onKey = (e: KeyboardEvent) => {
    const acts = new Map<string, () => void>([
      ["enter", enter],
      ["arrowleft", () => onMove(-1)],
      ["arrowright", () => onMove(1)],
      ["t", () => live?.steady && keep(loadText(live.loadLbf, unit), live.loadLbf)],
      ["u", takeBack],
      ["k", onSkip],
    ]);
    const does = acts.get(e.key.toLowerCase());
    if (does && (e.key === "Enter" || text === "")) {
      e.preventDefault();
      does();
    }
  };
  return (
    <section className="scribed grid gap-3 rounded p-4" aria-label="Reading">
      <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <h2 className="text-4xl font-extrabold" data-valve-now>
          {valve.position}
        </h2>
        <span className="text-muted">{valve.mark}</span>
        <span className="text-lg">
          should show <b className="num text-3xl">{loadText(valve.expectedLbf, unit, 0)}</b> {loadUnit(unit)}
        </span>
        <label className="flex items-center gap-2 text-muted">
          at height
          <input
            value={height}
            inputMode="decimal"
            aria-label={`Height in ${heightUnit(unit)}`}
            onChange={(e) => setHeight(e.target.value)}
            className="num min-h-11 w-24 rounded border border-hair bg-raised px-2 text-xl text-ink"
          />
          {heightUnit(unit)}
        </label>
      </div>
      {again && valve.ask && <Notice tone="ask">{askText(valve.ask, unit)}</Notice>}
      <FigureBox
        label={
          again
            ? `Read again, in ${loadUnit(unit)}`
            : test.repeats > 1
              ? `Reading ${reading} of ${test.repeats}, in ${loadUnit(unit)}`
              : `Load in ${loadUnit(unit)}`
        }
        text={text}
        box={box}
        onType={type}
        onKey={onKey}
        onEnter={enter}
      />
      <LivePart now={live} onTake={(lbf) => keep(loadText(lbf, unit), lbf)} />
      {trouble && <Notice tone="stop">{trouble}</Notice>}
      <LastSaid test={test} valve={valve} />
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => onMove(-1)} aria-label="The spring before">
          ←
        </Button>
        <Button onClick={() => onMove(1)} aria-label="The spring after">
          →
        </Button>
        <Button onClick={onSkip}>Skip (K)</Button>
        <Button onClick={takeBack} disabled={valve.readings.length === 0}>
          Take back (U)
        </Button>
        <span className="flex-1" />
        <Button look="quiet" onClick={onEnd}>
          End of test
        </Button>
      </div>
    </section>
  );
}

/** What this spring, or the one just read, says: corrected, against its set and against last time. */
function LastSaid({ test, valve }: { test: SpringTest; valve: TestValve }) {
  const { unit } = useSettings();
  const own = valve.readings.length > 0 ? valve : lastRead(test);
  if (!own) return null;
  const still = own.againstLast !== undefined && Math.abs(own.againstLast) < own.repeatability;
  return (
    <dl
      className="flex flex-wrap gap-x-6 gap-y-1 border-t border-hair pt-2"
      aria-label={`${own.position} says`}
    >
      <Said
        name={`${own.position} read`}
        value={own.readings.map((r) => loadText(r.loadLbf, unit)).join("  ")}
      />
      <Said name="corrected" value={`${loadText(own.correctedLbf, unit)} ${loadUnit(unit)}`} />
      <Said name="loss" value={`${percentText(own.loss)} %`} />
      <Said name="against its set" value={`${percentText(own.againstSet)} points`} />
      <Said
        name="against last time"
        value={
          own.againstLast === undefined
            ? "first test"
            : still
              ? "no change"
              : `${percentText(own.againstLast)} %`
        }
      />
    </dl>
  );
}

function lastRead(test: SpringTest): TestValve | undefined {
  return [...test.valves].reverse().find((v) => v.readings.length > 0);
}

function Said({ name, value }: { name: string; value: string }) {
  return (
    <div>
      <dt className="text-sm text-muted">{name}</dt>
      <dd className="num text-2xl">{value}</dd>
    </div>
  );
}
