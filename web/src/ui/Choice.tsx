import { ToggleGroup } from "radix-ui";

interface ChoiceProps<T extends string> {
  label: string;
  value: T;
  onChange: (v: T) => void;
  options: readonly (readonly [value: T, text: string])[];
}

/** A few choices side by side, one of them taken. */
export function Choice<T extends string>({ label, value, onChange, options }: ChoiceProps<T>) {
  return (
    <div className="flex flex-col gap-1">
      <span className="text-sm font-semibold text-muted">{label}</span>
      <ToggleGroup.Root
        type="single"
        aria-label={label}
        value={value}
        onValueChange={(v) => v && onChange(v as T)}
        className="flex flex-wrap gap-1"
      >
        {options.map(([v, text]) => (
          <ToggleGroup.Item
            key={v}
            value={v}
            className="min-h-11 rounded border border-hair bg-raised px-4 font-semibold data-[state=on]:border-line data-[state=on]:bg-line data-[state=on]:text-ground"
          >
            {text}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </div>
  );
}
