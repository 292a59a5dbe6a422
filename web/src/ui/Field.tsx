import { type ComponentProps, type ReactNode, useId } from "react";

const BOX =
  "min-h-11 w-full rounded border border-hair bg-raised px-3 text-ink placeholder:text-muted aria-invalid:border-tight aria-invalid:border-2";

interface FrameProps {
  label: string;
  hint?: ReactNode;
  error?: string;
  ask?: string;
  children: (ids: { id: string; describedBy?: string; invalid: boolean }) => ReactNode;
}

/** A label, its box, and under it what is wrong or asked, in words. */
function Frame({ label, hint, error, ask, children }: FrameProps) {
  const id = useId();
  const noteId = `${id}-note`;
  const note = error ?? ask ?? hint;
  return (
    <div className="flex min-w-0 flex-col gap-1">
      <label htmlFor={id} className="text-sm font-semibold text-muted">
        {label}
      </label>
      {children({ id, describedBy: note ? noteId : undefined, invalid: Boolean(error) })}
      {note && (
        <p
          id={noteId}
          className={`text-sm ${error ? "font-semibold text-tight" : ask ? "font-semibold text-wide" : "text-muted"}`}
        >
          {error ? `✕ ${error}` : ask ? `? ${ask}` : hint}
        </p>
      )}
    </div>
  );
}

interface Notes {
  label: string;
  hint?: ReactNode;
  error?: string;
  ask?: string;
}

export function Field({ label, hint, error, ask, className = "", ...rest }: Notes & ComponentProps<"input">) {
  return (
    <Frame label={label} hint={hint} error={error} ask={ask}>
      {({ id, describedBy, invalid }) => (
        <input
          id={id}
          aria-describedby={describedBy}
          aria-invalid={invalid}
          autoComplete="off"
          className={`${BOX} ${className}`}
          {...rest}
        />
      )}
    </Frame>
  );
}

interface SelectProps extends Notes, ComponentProps<"select"> {
  options: readonly (readonly [value: string, text: string])[];
}

export function Select({ label, hint, error, ask, options, ...rest }: SelectProps) {
  return (
    <Frame label={label} hint={hint} error={error} ask={ask}>
      {({ id, describedBy, invalid }) => (
        <select id={id} aria-describedby={describedBy} aria-invalid={invalid} className={BOX} {...rest}>
          {options.map(([value, text]) => (
            <option key={value} value={value}>
              {text}
            </option>
          ))}
        </select>
      )}
    </Frame>
  );
}

interface CheckProps extends ComponentProps<"input"> {
  label: string;
  error?: string;
}

export function Check({ label, error, ...rest }: CheckProps) {
  return (
    <label className="flex min-h-11 items-center gap-3 text-base">
      <input type="checkbox" className="check" {...rest} />
      {label}
      {error && <span className="font-semibold text-tight">✕ {error}</span>}
    </label>
  );
}
