import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { answered, api, type Schemas } from "../../api/client";
import { ValvePlan } from "../../plan/ValvePlan";
import { useKept, useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { heightText, heightUnit, loadUnit, readHeight } from "../../units/load";
import { readBox } from "./boxText";
import { Sorted } from "./SortedPart";

interface BoxSortProps {
  /** What is typed is kept on this device under this name. */
  name: string;
  layout: Schemas["LayoutView"];
  sheet: Schemas["SpringSheet"];
  /** Pockets whose bare height is known. */
  pockets: Schemas["Pocket"][];
  /** Those that were measured, but nobody knows with which stack. */
  unclear: string[];
  targetIn: number;
  toleranceIn: number;
  shimsIn: number[];
  limits?: Schemas["EnginePockets"]["clearances"];
}

/** A box of springs on one side, the pockets on the other: which goes where. */
export function BoxSort(props: BoxSortProps) {
  const { name, layout, sheet, pockets, unclear, targetIn, toleranceIn, shimsIn, limits } = props;
  const { unit } = useSettings();
  const [text, setText] = useKept<string>(`shim.box.${name}`, () => "");
  const [at, setAt] = useState(heightText(targetIn, unit));
  const box = readBox(text, unit);
  const inStock = shimsIn.map((s) => heightText(s, unit)).join(" ");
  const [stock, setStock] = useState(inStock);
  const sort = useMutation({
    mutationFn: () =>
      answered(
        api.POST("/api/calc/spring-sort", {
          body: {
            sheet,
            box: box.springs.map((s) => ({ ...s, atHeightIn: readHeight(at, unit) ?? targetIn })),
            pockets,
            targetIn,
            toleranceIn,
            limits,
            shimsIn:
              stock === inStock
                ? shimsIn
                : stock
                    .split(/\s+/)
                    .map((s) => readHeight(s, unit))
                    .filter((s) => s !== undefined),
          },
        }),
      ),
  });
  const few = box.springs.length < pockets.length;
  return (
    <div className="grid content-start items-start gap-3 p-3 min-[1000px]:grid-cols-[minmax(320px,420px)_1fr]">
      <form
        className="scribed grid gap-3 rounded p-4"
        aria-label="The box"
        onSubmit={(e) => {
          e.preventDefault();
          sort.mutate();
        }}
      >
        <h2 className="text-xl">Sort a box of springs</h2>
        <label className="grid gap-1 text-sm font-semibold text-muted">
          One spring a line: mark, load in {loadUnit(unit)}, outside diameter if measured
          <textarea
            value={text}
            rows={12}
            placeholder={"B1 221.5 1.550\nB2 218 1.552"}
            onChange={(e) => setText(e.target.value)}
            className="num min-h-40 rounded border border-hair bg-raised p-2 text-lg text-ink"
          />
        </label>
        <div className="grid grid-cols-2 gap-3">
          <Field
            label={`All read at height, ${heightUnit(unit)}`}
            value={at}
            inputMode="decimal"
            onChange={(e) => setAt(e.target.value)}
          />
          <Field
            label={`Shims in stock, ${heightUnit(unit)}`}
            value={stock}
            onChange={(e) => setStock(e.target.value)}
          />
        </div>
        {box.wrong.map((w) => (
          <Notice key={w} tone="ask">
            {w}
          </Notice>
        ))}
        <p className={few ? "text-muted" : ""}>
          {box.springs.length} springs for {pockets.length} measured pockets
          {few && `: ${pockets.length - box.springs.length} more are needed`}
        </p>
        {unclear.length > 0 && (
          <Notice tone="ask">Left out: {unclear.join(" ")}. Write their shims by thickness.</Notice>
        )}
        {sort.error && <Notice tone="stop">{sort.error.message}</Notice>}
        <Button look="now" type="submit" disabled={few || pockets.length === 0}>
          Find the best places
        </Button>
      </form>
      {sort.data ? (
        <Sorted layout={layout} sorted={sort.data} />
      ) : (
        <section className="scribed grid gap-3 rounded p-4" aria-label="The pockets">
          <Notice tone="know">
            Springs of one box differ by some pounds and a thou or two, pockets by their heights. Shim finds
            the one assignment with the evenest loads, all fitting, with the fewest shims.
          </Notice>
          <ValvePlan
            layout={layout}
            faces={Object.fromEntries(
              pockets.map((p) => [p.position, { text: heightText(p.heightIn, unit), mark: "IN" as const }]),
            )}
            label="Heights the springs go to"
            className="h-[56vh] w-full"
          />
        </section>
      )}
    </div>
  );
}
