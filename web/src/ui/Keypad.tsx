interface KeypadProps {
  onKey: (key: string) => void;
  onEnter: () => void;
  /** What is entered: a gap with its leaf's feel, turns, or a load. */
  of: "gap" | "turns" | "load";
}

const GAP = [
  ["7", "8", "9", "-"],
  ["4", "5", "6", "*"],
  ["1", "2", "3", "+"],
  ["0", ".", "/", "⌫"],
];
const LOAD = [
  ["7", "8", "9"],
  ["4", "5", "6"],
  ["1", "2", "3"],
  ["0", ".", "⌫"],
];
const WORDS: Record<string, string> = {
  "-": "snug",
  "*": "right",
  "+": "loose",
  "/": "goes / not",
  "⌫": "erase",
};

/** Digits for a gloved thumb. */
export function Keypad({ onKey, onEnter, of }: KeypadProps) {
  return (
    <fieldset className={`grid gap-1.5 ${of === "load" ? "grid-cols-3" : "grid-cols-4"}`} aria-label="Keypad">
      {(of === "load" ? LOAD : GAP).flat().map((k) => (
        <button
          key={k}
          type="button"
          aria-label={WORDS[k] ?? k}
          disabled={of === "turns" && "-*+".includes(k)}
          onClick={() => onKey(k)}
          className="num flex min-h-13 flex-col items-center justify-center rounded border border-hair bg-raised text-3xl active:bg-line active:text-ground"
        >
          {k}
          {WORDS[k] && k !== "⌫" && (
            <span className="font-word text-xs font-medium text-muted">{WORDS[k]}</span>
          )}
        </button>
      ))}
      <button
        type="button"
        onClick={onEnter}
        className="col-span-full min-h-14 rounded bg-accent text-2xl font-bold text-on-accent"
      >
        Enter ⏎
      </button>
    </fieldset>
  );
}
