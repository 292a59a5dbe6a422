import { useMutation, useQuery } from "@tanstack/react-query";
import { useParams } from "@tanstack/react-router";
import { useState } from "react";
import { answered, api, type Schemas } from "../../api/client";
import { pockets as pocketsQuery, springTypes } from "../../api/queries";
import { ValvePlan } from "../../plan/ValvePlan";
import { EngineFrame, Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { useKept, useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { nth } from "../../ui/nth";
import { heightText, heightUnit, loadUnit, readHeight } from "../../units/load";
import { readBox } from "./boxText";
import { Sorted } from "./SortedPart";

/** Which spring of a box goes into which pocket. */
export function BoxPage() {
  const { id } = useParams({ from: "/engines/$id/spring-box" });
  const known = useQuery(pocketsQuery(id));
  const types = useQuery(springTypes());
  return (
    <EngineFrame id={id}>
      {(engine) => {
        const error = known.error ?? types.error;
        if (error && (!known.data || !types.data)) return <Problem error={error} />;
        if (!known.data || !types.data) return <Waiting />;
        const type = types.data.find((t) => t.id === known.data.pockets[0]?.typeId);
        return type ? (
          <Sort engine={engine} known={known.data} type={type} />
        ) : (
          <div className="p-4">
            <Notice tone="know">Put a set in first: the heights and pockets are measured with it.</Notice>
          </div>
        );
      }}
    </EngineFrame>
  );
}

interface SortProps {
  engine: Schemas["EngineView"];
  known: Schemas["EnginePockets"];
  type: Schemas["StoredType"];
}

function Sort({ engine, known, type }: SortProps) {
  const { unit } = useSettings();
  const [text, setText] = useKept<string>(`shim.box.${engine.id}`, () => "");
  const target = nth(known.pockets, 0).targetIn;
  const [at, setAt] = useState(heightText(target, unit));
  const box = readBox(text, unit);
  const inStock = known.shimsIn.map((s) => heightText(s, unit)).join(" ");
  const [stock, setStock] = useState(inStock);
  // Without its stack nobody knows how high a pocket is.
  const measured = known.pockets.filter((p) => p.fitting.heightIn !== undefined && p.stack);
  const unclear = known.pockets.filter((p) => p.fitting.heightIn !== undefined && !p.stack);
  const sort = useMutation({
    mutationFn: () =>
      answered(
        api.POST("/api/calc/spring-sort", {
          body: {
            sheet: type.sheet,
            box: box.springs.map((s) => ({ ...s, atHeightIn: readHeight(at, unit) ?? target })),
            pockets: measured.map((p) => ({
              position: p.position,
              heightIn: (p.stack?.shimsIn ?? []).reduce((a, b) => a + b, p.fitting.heightIn ?? 0),
              diameterIn: p.fitting.pocketIn ?? 0,
              targetIn: p.targetIn,
            })),
            targetIn: target,
            toleranceIn: known.toleranceIn,
            limits: known.clearances,
            shimsIn:
              stock === inStock
                ? known.shimsIn
                : stock
                    .split(/\s+/)
                    .map((s) => readHeight(s, unit))
                    .filter((s) => s !== undefined),
          },
        }),
      ),
  });
  const few = box.springs.length < measured.length;
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
          {box.springs.length} springs for {measured.length} measured pockets
          {few && `: ${measured.length - box.springs.length} more are needed`}
        </p>
        {unclear.length > 0 && (
          <Notice tone="ask">
            Left out: {unclear.map((p) => p.position).join(" ")}. Write their shims by thickness.
          </Notice>
        )}
        {sort.error && <Notice tone="stop">{sort.error.message}</Notice>}
        <Button look="now" type="submit" disabled={few || measured.length === 0}>
          Find the best places
        </Button>
      </form>
      {sort.data ? (
        <Sorted engine={engine} sorted={sort.data} />
      ) : (
        <section className="scribed grid gap-3 rounded p-4" aria-label="The pockets">
          <Notice tone="know">
            Springs of one box differ by some pounds and a thou or two, pockets by their heights. Shim finds
            the one assignment with the evenest loads, all fitting, with the fewest shims.
          </Notice>
          <ValvePlan
            layout={engine.layout}
            faces={Object.fromEntries(
              known.pockets.map((p) => [
                p.position,
                {
                  text: heightText(p.fitting.heightIn, unit),
                  mark: p.fitting.heightIn === undefined ? "OPEN" : "IN",
                },
              ]),
            )}
            label="Heights the springs go to"
            className="h-[56vh] w-full"
          />
        </section>
      )}
    </div>
  );
}
