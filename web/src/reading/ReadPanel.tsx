import { type KeyboardEvent, type ReactNode, useEffect, useRef, useState } from "react";
import { useSettings } from "../shell/settings";
import { Button } from "../ui/Button";
import { FigureBox } from "../ui/FigureBox";
import { Notice } from "../ui/Notice";
import { takeKeys } from "../ui/takeKeys";
import { type FigureUnit, figureOf, readFigure, unitName } from "../units/figures";

interface ReadPanelProps {
  /** Where it is read, large: a valve, a side of the stop. */
  place: string;
  name: string;
  how: string;
  of: FigureUnit;
  taken: number[];
  /** How many readings are wanted here. */
  wanted?: number;
  initials: boolean;
  onKeep: (figure: number) => void;
  onMove: (by: number) => void;
  onBack: () => void;
  /** One more key and its button, for a figure that ends another way. */
  also?: { key: string; words: string; onKeep: (figure: number) => void };
  /** Read with its sign: degrees on either side of a dead centre. */
  signed?: boolean;
  children?: ReactNode;
}

/** One figure being read, the largest thing on the screen, from the number block. */
export function ReadPanel(props: ReadPanelProps) {
  const { place, name, how, of, taken, wanted = 1, initials, onMove, onBack, also } = props;
  const { unit } = useSettings();
  const box = useRef<HTMLInputElement>(null);
  const [text, setText] = useState("");
  const [trouble, setTrouble] = useState<string>();
  // biome-ignore lint/correctness/useExhaustiveDependencies: the box takes the keys again after each figure
  useEffect(() => takeKeys(box.current), [taken.length]);
  const enter = (keep: (figure: number) => void) => {
    if (text.trim() === "") return onMove(1);
    const figure = readFigure(text, of, unit);
    if (figure === undefined) return setTrouble(`"${text}" is no figure`);
    if (!initials) return setTrouble("write your initials first: above, beside “measured by”");
    setTrouble(undefined);
    setText("");
    keep(figure);
  };
  const acts = new Map<string, () => void>([
    ["Enter", () => enter(props.onKeep)],
    ["ArrowLeft", () => onMove(-1)],
    ["ArrowRight", () => onMove(1)],
    ["u", onBack],
    ["k", () => onMove(1)],
  ]);
  const onKey = (e: KeyboardEvent) => {
    if (also && e.key.toLowerCase() === also.key && text !== "") {
      e.preventDefault();
      return enter(also.onKeep);
    }
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
          {place}
        </h2>
        <span className="text-xl">{name}</span>
        <span className="text-muted">{how}</span>
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
        onEnter={() => enter(props.onKeep)}
      />
      {trouble && <Notice tone="stop">{trouble}</Notice>}
      {taken.length > 0 && (
        <p className="text-lg">
          read: <b className="num text-2xl">{taken.map((v) => figureOf(v, of, unit)).join("  ")}</b>
        </p>
      )}
      {props.children}
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => onMove(-1)} aria-label="The place before">
          ←
        </Button>
        <Button onClick={() => onMove(1)} aria-label="The place after">
          →
        </Button>
        {also && (
          <Button onClick={() => enter(also.onKeep)}>
            {also.words} ({also.key.toUpperCase()})
          </Button>
        )}
        {props.signed && (
          <Button onClick={() => setText((t) => (t.startsWith("-") ? t.slice(1) : `-${t}`))}>
            Other side of TDC (±)
          </Button>
        )}
        <Button onClick={() => onMove(1)}>Skip (K)</Button>
        <Button onClick={onBack} disabled={taken.length === 0}>
          Take back (U)
        </Button>
      </div>
    </section>
  );
}
