import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { askedAnew } from "../../api/anew";
import { answered, api, type Schemas, wordsOf } from "../../api/client";
import { badRows } from "../../api/queries";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { readNumber } from "../../units/load";

type BadRow = Schemas["BadRow"];

const WHAT: Record<BadRow["kind"], string> = {
  EVENT_PLANNED_HOURS: "planned hours of the event",
  EVENT_RUN_HOURS: "hours run at the event",
  RUN_MINUTES: "minutes of the run on",
  SPRING_HOURS_BEFORE: "hours the spring had run before",
  LIFTER_HOURS_BEFORE: "hours the lifter had run before",
  FITTING_HEIGHT: "installed height, in, at",
  FITTING_FROM_HOURS: "engine hours when the spring went in at",
  TEST_HOURS: "engine hours of the spring test with",
  ROUND_HOURS: "engine hours of the round by",
  LOAD: "load, lbf, at",
  LOAD_HEIGHT: "height of a load, in, at",
  LASH: "lash, in, at",
  ZERO_LASH_LENGTH: "length at zero lash, in, at",
};

/** Entries of this engine that cannot be right: left out of everything until a person has mended them. */
export function BadRowsPart({ engineId }: { engineId: string }) {
  const rows = useQuery(badRows(engineId)).data ?? [];
  if (rows.length === 0) return null;
  return (
    <section aria-label="Impossible entries">
      <Notice tone="stop">
        <p className="font-semibold">
          {rows.length === 1
            ? "One entry on record is impossible"
            : `${rows.length} entries on record are impossible`}
          . It is left out of everything until it is mended.
        </p>
        <ul className="mt-2 grid gap-2">
          {rows.map((r) => (
            <Row key={r.kind + r.id} engineId={engineId} row={r} />
          ))}
        </ul>
      </Notice>
    </section>
  );
}

function Row({ engineId, row }: { engineId: string; row: BadRow }) {
  const { hand } = useSettings();
  const [text, setText] = useState("");
  const mend = useMutation({
    mutationFn: (value: number | undefined) =>
      answered(
        api.PUT("/api/engines/{id}/bad-rows/{kind}/{rowId}", {
          params: { path: { id: engineId, kind: row.kind, rowId: row.id } },
          body: { value, hand },
        }),
      ),
    onSuccess: askedAnew,
  });
  const value = readNumber(text);
  return (
    <li className="flex flex-wrap items-end gap-3 border-t border-hair pt-2">
      <span className="min-w-52 flex-1">
        {WHAT[row.kind]} <strong>{row.label}</strong>: <span className="num text-lg">{row.value}</span>
      </span>
      <span className="w-36">
        <Field
          label={`${row.low} to ${row.high}`}
          value={text}
          inputMode="decimal"
          onChange={(e) => setText(e.target.value)}
        />
      </span>
      <Button
        disabled={value === undefined || Number.isNaN(value) || mend.isPending}
        onClick={() => mend.mutate(value)}
      >
        Put it right
      </Button>
      {row.mayGo && <Button onClick={() => mend.mutate(undefined)}>Take it out</Button>}
      {mend.error && <span className="basis-full text-tight">{wordsOf(mend.error)}</span>}
    </li>
  );
}
