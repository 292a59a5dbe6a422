import type { KeyboardEvent, Ref } from "react";
import { Keypad } from "./Keypad";
import { useNarrow } from "./useNarrow";

interface FigureBoxProps {
  label: string;
  text: string;
  box: Ref<HTMLInputElement>;
  onType: (next: (was: string) => string) => void;
  onKey: (e: KeyboardEvent) => void;
  onEnter: () => void;
}

/** The figure being read, the largest thing on the screen; on a tablet with its keypad. */
export function FigureBox({ label, text, box, onType, onKey, onEnter }: FigureBoxProps) {
  const narrow = useNarrow();
  return (
    <div className={narrow ? "grid gap-3" : ""}>
      <label className="grid gap-1">
        <span className="text-lg font-semibold">{label}</span>
        <input
          ref={box}
          value={text}
          inputMode={narrow ? "none" : "decimal"}
          autoComplete="off"
          onChange={(e) => onType(() => e.target.value)}
          onKeyDown={onKey}
          className="num min-h-28 w-full rounded border-2 border-accent bg-raised px-4 text-8xl"
        />
      </label>
      {narrow && (
        <Keypad
          of="load"
          onKey={(k) => onType((t) => (k === "⌫" ? t.slice(0, -1) : t + k))}
          onEnter={onEnter}
        />
      )}
    </div>
  );
}
