import { useQuery } from "@tanstack/react-query";
import { useFieldArray, useFormContext } from "react-hook-form";
import { presets } from "../../api/queries";
import { Button } from "../../ui/Button";
import { Box, Pick, useSaid } from "./boxes";
import { type SheetForm, toForm } from "./sheetForm";

/** Starting layouts, and everything of them to be changed. */
export function LayoutPart() {
  const { control, setValue, watch } = useFormContext<SheetForm>();
  const banks = useFieldArray({ control, name: "layout.banks" });
  const list = useQuery(presets()).data ?? [];
  const blankError = useSaid("layout.banks").error;
  const begun = watch("layout.banks").length > 0;
  return (
    <div className="grid gap-4">
      <fieldset>
        <legend className="mb-1 text-sm font-semibold text-muted">
          {begun ? "Begin again from" : "Begin from the nearest, then change it"}
        </legend>
        <div className="flex flex-wrap gap-2">
          {list.map((p) => (
            <Button
              key={p.id}
              title={p.hint}
              onClick={() =>
                setValue("layout", toForm({ layout: p.layout }, "thou").layout, { shouldDirty: true })
              }
            >
              {p.title}
            </Button>
          ))}
        </div>
        {blankError && !begun && <p className="mt-1 text-sm text-muted">{blankError}</p>}
      </fieldset>
      {begun && (
        <>
          <div className="grid gap-3 min-[640px]:grid-cols-3">
            <Pick
              name="layout.arrangement"
              label="Banks stand"
              options={[
                ["INLINE", "in line"],
                ["V", "in a V"],
                ["FLAT", "flat"],
              ]}
            />
            <Box name="layout.firingOrder" label="Firing order" placeholder="1-3-4-2" numeric={false} />
            <Box
              name="layout.intervals"
              label="Intervals, degrees"
              hint="blank: even; odd-fire: 90-150, or all of them"
              placeholder="even"
              numeric={false}
            />
          </div>
          {banks.fields.map((field, i) => (
            <div
              key={field.id}
              className="grid items-start gap-3 border-t border-hair pt-3 min-[640px]:grid-cols-[8rem_1fr_1fr_auto]"
            >
              <Box name={`layout.banks.${i}.name`} label={`Bank ${i + 1}`} numeric={false} />
              <Box
                name={`layout.banks.${i}.cylinders`}
                label="Cylinders, front to rear"
                placeholder="1 3 5 7"
                numeric={false}
              />
              <Box
                name={`layout.banks.${i}.valveOrder`}
                label="Valves, front to rear"
                placeholder="E I I E E I I E"
                numeric={false}
              />
              {banks.fields.length > 1 && (
                <Button className="mt-6" onClick={() => banks.remove(i)} aria-label={`Remove bank ${i + 1}`}>
                  Remove
                </Button>
              )}
            </div>
          ))}
          <p className="text-sm text-muted">
            Intake or exhaust? A valve lines up with its port: the exhaust valve sits at its header pipe, the
            intake valve at its runner. Turn the crank: the pair that moves just before compression is the
            intake. The larger head is the intake. The plan beside this is drawn from what you write: hold it
            against the engine.
          </p>
          <div className="flex flex-wrap items-end gap-3">
            <Button onClick={() => banks.append({ name: "", cylinders: "", valveOrder: "" })}>
              Add a bank
            </Button>
            <div className="w-64">
              <Pick
                name="layout.rotation"
                label="Crank turns, seen from the front"
                options={[
                  ["CLOCKWISE", "clockwise"],
                  ["ANTICLOCKWISE", "anticlockwise"],
                ]}
              />
            </div>
          </div>
        </>
      )}
    </div>
  );
}
