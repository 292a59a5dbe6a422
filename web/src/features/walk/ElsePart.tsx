import { useState } from "react";
import type { Schemas } from "../../api/client";
import { wrap } from "../../ribbon/arcs";
import { Button } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { readNumber } from "../../units/load";
import type { Act } from "./useJob";

type Other = Schemas["Otherwise"];

/** What cannot wait: the hold goes, or something is missing. */
const URGENT: ReadonlySet<Other["act"]> = new Set(["AIR_LOST", "REHELD", "DROPPED", "COUNTED"]);

interface ElsePartProps {
  others: Other[];
  onDo: (act: Act) => void;
}

/** What must be at hand at once stands first and open; the rest is one press away. */
export function ElsePart({ others, onDo }: ElsePartProps) {
  const [open, setOpen] = useState<Other>();
  const urgent = others.filter((o) => URGENT.has(o.act));
  const rest = others.filter((o) => !urgent.includes(o));
  const press = (o: Other) => {
    if (o.asks === "") onDo({ act: o.act, cylinder: o.cylinder, valve: o.valve });
    else setOpen(o);
  };
  return (
    <section className="grid gap-2" aria-label="Something else happened">
      {urgent.length > 0 && (
        <div className="flex flex-wrap gap-2">
          {urgent.map((o) => (
            <Button key={o.words} className="min-h-14 border-2 border-tight" onClick={() => press(o)}>
              {o.words}
            </Button>
          ))}
        </div>
      )}
      {rest.length > 0 && (
        <details>
          <summary className="min-h-11 content-center font-semibold">Something else happened</summary>
          <div className="flex flex-wrap gap-2 pt-1">
            {rest.map((o) => (
              <Button key={o.words} onClick={() => press(o)}>
                {o.words}
              </Button>
            ))}
          </div>
        </details>
      )}
      {open && (
        <Asked
          key={open.words}
          of={open}
          onDo={(a) => {
            setOpen(undefined);
            onDo(a);
          }}
          onClose={() => setOpen(undefined)}
        />
      )}
    </section>
  );
}

/** What was entered, or where the crank stands by it. */
const there = (value: number | undefined, fromDeg: number | undefined) =>
  value === undefined || fromDeg === undefined ? value : wrap(fromDeg + value);

interface AskedProps {
  of: Other;
  onDo: (act: Act) => void;
  onClose: () => void;
}

/** One figure or one reason with something that happened. */
function Asked({ of, onDo, onClose }: AskedProps) {
  const [text, setText] = useState("");
  const number = of.asks.startsWith("degrees") || of.asks === "pieces" || of.asks === "minutes";
  const value = readNumber(text);
  const bad = text.trim() === "" || (number && Number.isNaN(value));
  return (
    <form
      className="scribed flex flex-wrap items-end gap-2 rounded p-3"
      onSubmit={(e) => {
        e.preventDefault();
        if (bad) return;
        onDo({
          act: of.act,
          step: of.step,
          cylinder: of.cylinder,
          valve: of.valve,
          figure: number ? there(value, of.fromDeg) : undefined,
          word: number ? of.word : text.trim(),
        });
      }}
    >
      <div className="min-w-60 flex-1">
        <Field
          label={`${of.words}: ${of.asks}`}
          value={text}
          autoFocus
          inputMode={number ? "decimal" : "text"}
          onChange={(e) => setText(e.target.value)}
        />
      </div>
      <Button type="submit" look="now" disabled={bad}>
        Keep
      </Button>
      <Button look="quiet" onClick={onClose}>
        Close
      </Button>
    </form>
  );
}
