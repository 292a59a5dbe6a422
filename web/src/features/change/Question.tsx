import type { Schemas } from "../../api/client";

type Says = Schemas["SchoolSays"];

interface QuestionProps<T extends string> {
  title: string;
  sides: Says[];
  value: T;
  onChange: (v: T) => void;
}

/** Each side with what it says for itself. */
export function Question<T extends string>({ title, sides, value, onChange }: QuestionProps<T>) {
  return (
    <fieldset className="grid gap-1">
      <legend className="font-semibold">{title}</legend>
      {sides.map((s) => (
        <label key={s.value} className="flex min-h-11 items-start gap-3 border-t border-hair py-1">
          <input
            type="radio"
            name={title}
            checked={value === s.value}
            onChange={() => onChange(s.value as T)}
            className="mt-1 size-6 accent-(--accent)"
          />
          <span>
            {s.title}
            <span className="block text-sm text-muted">{s.says}</span>
          </span>
        </label>
      ))}
    </fieldset>
  );
}
