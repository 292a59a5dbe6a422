import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { askedAnew } from "../../api/anew";
import { answered, api, type Schemas, wordsOf } from "../../api/client";
import { newId } from "../../api/ids";
import { UnknownInitials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Check, Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { readNumber } from "../../units/load";

interface NewLiftersPartProps {
  engine: Schemas["EngineView"];
  known: Schemas["EngineLifters"];
}

/** A whole set put in at once: one mark for the set, each lifter named by its valve. */
export function NewLiftersPart({ engine, known }: NewLiftersPartProps) {
  const { hand } = useSettings();
  const [setId] = useState(() => newId());
  const [set, setSet] = useState("");
  const [before, setBefore] = useState("0");
  const [tied, setTied] = useState(false);
  const empty = known.valves.filter((v) => !v.lifter).map((v) => v.position);
  const kind = known.roller
    ? known.hydraulic
      ? "ROLLER_HYDRAULIC"
      : "ROLLER_SOLID"
    : known.hydraulic
      ? "FLAT_HYDRAULIC"
      : "FLAT_SOLID";
  const put = useMutation({
    mutationFn: () =>
      answered(
        api.PUT("/api/engines/{engineId}/lifter-sets/{id}", {
          params: { path: { engineId: engine.id, id: setId } },
          body: {
            kind,
            setName: set,
            linkBars: tied,
            hoursBefore: readNumber(before) ?? 0,
            fromHours: known.engineHours,
            hand,
          },
        }),
      ),
    onSettled: askedAnew,
  });
  const trouble = wordsOf(put.error);
  return (
    <section className="scribed grid gap-3 rounded p-4" aria-label="Put a set of lifters in">
      <h2 className="text-lg">
        {empty.length === known.valves.length
          ? "No lifter of this engine is on record yet"
          : `${empty.length} valves without a lifter on record`}
      </h2>
      <div className="flex flex-wrap items-start gap-3">
        <div className="min-w-48 flex-1">
          <Field
            label="Name of the set"
            value={set}
            hint={`lifters are marked ${set.trim() || "set"} ${empty[0]} and so on`}
            maxLength={12}
            onChange={(e) => setSet(e.target.value)}
          />
        </div>
        <Field
          label="Hours it has run already"
          inputMode="decimal"
          value={before}
          onChange={(e) => setBefore(e.target.value)}
        />
        <div className="min-[700px]:mt-6">
          <Check
            label="tied in pairs by link bars"
            checked={tied}
            onChange={(e) => setTied(e.target.checked)}
          />
        </div>
        <UnknownInitials />
        <Button
          look="now"
          className="min-[700px]:mt-6"
          disabled={put.isPending || set.trim() === ""}
          onClick={() => put.mutate()}
        >
          {put.isPending ? "Putting them in …" : `Put ${empty.length} in`}
        </Button>
      </div>
      {trouble && <Notice tone="stop">{trouble}</Notice>}
    </section>
  );
}
