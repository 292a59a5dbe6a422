import { useEffect, useRef, useState } from "react";
import { useKept, useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { loadText, loadUnit, readLoad } from "../../units/load";
import { LivePart, useTester } from "../device/TesterPart";
import type { SpringTest, useSpringTest } from "./useSpringTest";

interface CheckPanelProps {
  test: SpringTest;
  side: "START" | "END";
  work: ReturnType<typeof useSpringTest>;
  onPass: () => void;
  onDone: () => void;
}

/** The check spring tells the tester's drift from tired springs. */
export function CheckPanel({ test, side, work, onPass, onDone }: CheckPanelProps) {
  const { unit } = useSettings();
  const box = useRef<HTMLInputElement>(null);
  const [name, setName] = useKept<string>("shim.checkName", () => "check spring 1");
  const [known, setKnown] = useKept<string>("shim.checkKnown", () => "");
  const [text, setText] = useState("");
  const [trouble, setTrouble] = useState<string>();
  const live = useTester("CHECK", test.valves[0]?.heightIn ?? 1.95);
  const knownLbf = readLoad(known, unit);
  const [began] = useState(known);
  useEffect(() => {
    if (began !== "") box.current?.focus();
  }, [began]);

  const keep = (loadLbf: number, typed: string) => {
    if (knownLbf === undefined) return setTrouble(`what is its load at that height, in ${loadUnit(unit)}?`);
    const share = loadLbf / knownLbf;
    if (!(share >= test.checkLowest && share <= test.checkHighest)) {
      const off = `${Math.abs(100 * (share - 1)).toFixed(0)} % ${share > 1 ? "high" : "low"}`;
      return setTrouble(
        `the check spring reads ${off}: no tester drifts so far. Is it the right spring, at its height, and ${known} its load?`,
      );
    }
    try {
      work.check({ name, knownLbf, loadLbf, side, typed });
      setTrouble(undefined);
      onDone();
    } catch (e) {
      setTrouble((e as Error).message);
    }
  };
  return (
    <form
      className="scribed grid gap-3 rounded p-4"
      onSubmit={(e) => {
        e.preventDefault();
        const load = readLoad(text, unit);
        if (load === undefined) setTrouble(`"${text}" is no load: 214.5`);
        else keep(load, text);
      }}
      onKeyDown={(e) => {
        if (e.key.toLowerCase() === "t" && live?.steady && e.target === box.current) {
          e.preventDefault();
          keep(live.loadLbf, String(live.loadLbf));
        }
      }}
    >
      <h2 className="text-xl">
        {side === "START" ? "First the check spring" : "The check spring once more"}
      </h2>
      <div className="grid grid-cols-2 gap-3">
        <Field label="Check spring" value={name} onChange={(e) => setName(e.target.value)} />
        <Field
          label={`Its known load, ${loadUnit(unit)}`}
          value={known}
          inputMode="decimal"
          autoFocus={began === ""}
          className="num text-xl"
          onChange={(e) => setKnown(e.target.value)}
        />
      </div>
      <label className="grid gap-1">
        <span className="text-lg font-semibold">The tester shows, in {loadUnit(unit)}</span>
        <input
          ref={box}
          value={text}
          inputMode="decimal"
          autoComplete="off"
          onChange={(e) => setText(e.target.value)}
          className="num min-h-24 w-full rounded border-2 border-accent bg-raised px-4 text-7xl"
        />
      </label>
      <LivePart now={live} onTake={(lbf) => keep(lbf, loadText(lbf, unit))} />
      {trouble && <Notice tone="stop">{trouble}</Notice>}
      <div className="flex flex-wrap gap-2">
        <Button look="now" type="submit" className="text-xl">
          Take it ⏎
        </Button>
        <Button look="quiet" onClick={onPass}>
          {side === "START" ? "No check spring today" : "Without it"}
        </Button>
      </div>
      {side === "START" && (
        <p className="text-muted">
          Without it a tester that reads low today looks like {test.valves.length} tired springs.
        </p>
      )}
    </form>
  );
}
