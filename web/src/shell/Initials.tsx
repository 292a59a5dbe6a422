import { useState } from "react";
import { Field } from "../ui/Field";
import { useSettings } from "./settings";

interface InitialsProps {
  value: string;
  onChange: (initials: string) => void;
  error?: string;
  /** Where the page begins with them. */
  first?: boolean;
}

/** Who signs what is written. */
export function Initials({ value, onChange, error, first = false }: InitialsProps) {
  return (
    <Field
      label="Your initials"
      value={value}
      maxLength={12}
      autoFocus={first}
      className={first ? "text-xl font-bold" : undefined}
      onChange={(e) => onChange(e.target.value.toUpperCase())}
      error={error}
    />
  );
}

/** Asks for them where this device does not know them yet. */
export function UnknownInitials() {
  const { hand, setHand } = useSettings();
  const [unknown] = useState(hand === "");
  return unknown ? (
    <div className="max-w-40">
      <Initials value={hand} onChange={setHand} />
    </div>
  ) : null;
}

interface InlineInitialsProps {
  /** What stands before them: "read by". */
  word: string;
  /** Their full name for a reader of the screen. */
  label: string;
  placeholder?: string;
}

/** The same in a page's head, beside the work they sign. */
export function InlineInitials({ word, label, placeholder }: InlineInitialsProps) {
  const { hand, setHand } = useSettings();
  return (
    <label className="flex items-center gap-2 text-sm text-muted">
      {word}
      <input
        value={hand}
        maxLength={12}
        placeholder={placeholder}
        aria-label={label}
        onChange={(e) => setHand(e.target.value.toUpperCase())}
        className="min-h-11 w-16 rounded border border-hair bg-raised px-2 text-center font-bold text-ink"
      />
    </label>
  );
}
