import { createContext, useContext } from "react";
import { type FieldPath, useFormContext } from "react-hook-form";
import { useSettings } from "../../shell/settings";
import { Check, Field, Select } from "../../ui/Field";
import type { SheetForm } from "./sheetForm";
import { isLength } from "./sheetForm";

export interface Said {
  errors: Record<string, string>;
  asks: Record<string, string>;
}

/** What the check of the sheet says, by field. */
const SaidContext = createContext<Said>({ errors: {}, asks: {} });
export const SaidProvider = SaidContext.Provider;

type Path = FieldPath<SheetForm>;

interface BoxProps {
  name: Path;
  label: string;
  hint?: string;
  placeholder?: string;
  numeric?: boolean;
}

/** What is said of a field; a blank box is only reproached once keeping was tried. */
export function useSaid(name: string) {
  const said = useContext(SaidContext);
  return { error: said.errors[name], ask: said.asks[name] };
}

/** One box of the sheet, with its unit and what the check says of it. */
export function Box({ name, label, hint, placeholder, numeric = true }: BoxProps) {
  const { register } = useFormContext<SheetForm>();
  const { unit } = useSettings();
  const { error, ask } = useSaid(name);
  const length = isLength(name.split(".").at(-1) ?? "");
  return (
    <Field
      label={length ? `${label}, ${unit === "mm" ? "mm" : "in"}` : label}
      hint={hint}
      error={error}
      ask={ask}
      placeholder={placeholder && /^[-.\d]/.test(placeholder) ? `as ${placeholder}` : placeholder}
      inputMode={numeric ? "decimal" : undefined}
      className={numeric ? "num text-xl" : ""}
      {...register(name)}
    />
  );
}

interface PickProps {
  name: Path;
  label: string;
  hint?: string;
  options: readonly (readonly [string, string])[];
}

export function Pick({ name, label, hint, options }: PickProps) {
  const { register } = useFormContext<SheetForm>();
  const { error, ask } = useSaid(name);
  return <Select label={label} hint={hint} error={error} ask={ask} options={options} {...register(name)} />;
}

export function Flag({ name, label }: { name: Path; label: string }) {
  const { register } = useFormContext<SheetForm>();
  return <Check label={label} {...register(name)} />;
}
