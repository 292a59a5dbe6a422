import { type KeyboardEvent, useEffect, useRef, useState } from "react";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { FigureBox } from "../../ui/FigureBox";
import { Notice } from "../../ui/Notice";
import { type FigureUnit, figureOf, readFigure, unitName } from "../../units/figures";
import { type Place, placeName, readingsOf } from "./headFlow";
import { type Head, MEASURES, type What } from "./measures";

interface FigurePanelProps {
  head: Head;
  what: What;
  of: FigureUnit;
  place: Place;
  taken: number[];
  initials: boolean;
  onKeep: (figure: number) => void;
  onMove: (by: number) => void;
  onBack: () => void;
}

/** One figure of a head, large. */
export function FigurePanel({
  head,
  what,
  of,
  place,
  taken,
  initials,
  onKeep,
  onMove,
  onBack,
}: FigurePanelProps) {
  const { unit } = useSettings();
  const box = useRef<HTMLInputElement>(null);
  const [text, setText] = useState("");
  const [trouble, setTrouble] = useState<string>();
  const wanted = readingsOf(head, what);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the box takes the keys again after each figure
  useEffect(() => box.current?.focus(), [taken.length]);
  const enter = () => {
    if (text.trim() === "") return onMove(1);
    const figure = readFigure(text, of, unit);
    if (figure === undefined) return setTrouble(`"${text}" is no figure`);
    if (!initials) return setTrouble("write your initials first: above, beside “measured by”");
    setTrouble(undefined);
    setText("");
    onKeep(figure);
  };
  const acts = new Map<string, () => void>([
    ["Enter", enter],
    ["ArrowLeft", () => onMove(-1)],
    ["ArrowRight", () => onMove(1)],
    ["u", onBack],
    ["k", () => onMove(1)],
  ]);
  const onKey = (e: KeyboardEvent) => {
    const does = acts.get(e.key);
    if (does && (e.key === "Enter" || text === "")) {
      e.preventDefault();
      does();
    }
  };
  return (
    <section className="scribed grid gap-3 rounded p-4" aria-label="Figure">
      <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <h2 className="text-4xl font-extrabold" data-place-now>
          {placeName(place, head)}
        </h2>
        <span className="text-xl">{MEASURES[what].name}</span>
        <span className="text-muted">{MEASURES[what].how}</span>
      </div>
      <FigureBox
        label={
          wanted > 1 && taken.length < wanted
            ? `Reading ${taken.length + 1} of ${wanted}, ${unitName(of, unit)}`
            : `Reading, ${unitName(of, unit)}`
        }
        text={text}
        box={box}
        onType={setText}
        onKey={onKey}
        onEnter={enter}
      />
      {trouble && <Notice tone="stop">{trouble}</Notice>}
      {taken.length > 0 && (
        <p className="text-lg">
          read: <b className="num text-2xl">{taken.map((v) => figureOf(v, of, unit)).join("  ")}</b>
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => onMove(-1)} aria-label="The place before">
          ←
        </Button>
        <Button onClick={() => onMove(1)} aria-label="The place after">
          →
        </Button>
        <Button onClick={() => onMove(1)}>Skip (K)</Button>
        <Button onClick={onBack} disabled={taken.length === 0}>
          Take back (U)
        </Button>
      </div>
    </section>
  );
}
