import { useState } from "react";
import * as z from "zod";
import { answered, api, type Schemas } from "../../api/client";
import { newId } from "../../api/ids";
import { Button } from "../../ui/Button";
import { Check, Field } from "../../ui/Field";
import { Sheet } from "../../ui/Sheet";
import { useEntry } from "../../ui/useEntry";
import type { Turnaround } from "./board";

interface FormProps {
  turnaround: Turnaround;
  onClose: () => void;
}

const TRUCK = z.object({ name: z.string(), day: z.string(), at: z.string() });

/** When the truck leaves. */
export function TruckForm({ turnaround, onClose }: FormProps) {
  const truck = turnaround.truck;
  const { box, submit, trouble } = useEntry({
    schema: TRUCK,
    first: {
      name: truck?.name ?? "",
      day: truck?.leaves.slice(0, 10) ?? "",
      at: truck?.leaves.slice(11, 16) ?? "18:00",
    },
    fields: { name: "truck.name", day: "truck.day", at: "truck.at" },
    send: ({ name, day, at }) =>
      answered(
        api.PUT("/api/turnaround/truck", {
          body: {
            truck: { day, at, ...(name !== "" && { name }) },
            ...(truck?.version !== undefined && { basedOn: truck.version }),
          },
        }),
      ),
    kept: onClose,
  });
  return (
    <Sheet open onClose={onClose} title="When does the truck leave?">
      <form className="grid gap-3" onSubmit={submit}>
        <div className="grid grid-cols-2 gap-3">
          <Field label="Day" type="date" autoFocus {...box("day")} />
          <Field label="Time" type="time" {...box("at")} />
        </div>
        <Field label="Where to" {...box("name")} />
        {trouble && <p className="font-semibold text-tight">✕ {trouble}</p>}
        <Button look="now" type="submit">
          Keep this
        </Button>
      </form>
    </Sheet>
  );
}

const DAYS = ["MONDAY", "TUESDAY", "WEDNESDAY", "THURSDAY", "FRIDAY", "SATURDAY", "SUNDAY"] as const;
type Hand = Turnaround["hands"][number];

/** Who is there, and when. */
export function TeamForm({ turnaround, onClose }: FormProps) {
  const known = turnaround.hands.filter((h) => h.id !== undefined);
  const [editing, setEditing] = useState<Hand | "new" | null>(known.length === 0 ? "new" : null);
  return (
    <Sheet open onClose={onClose} title="Who is there">
      {editing ? (
        <HandForm
          key={editing === "new" ? "new" : editing.id}
          hand={editing === "new" ? undefined : editing}
          onClose={() => setEditing(null)}
        />
      ) : (
        <div className="grid gap-2">
          <ul>
            {known.map((h) => (
              <li key={h.id} className="border-t border-hair">
                <button
                  type="button"
                  className="flex min-h-11 w-full items-center gap-3 text-left hover:bg-raised"
                  onClick={() => setEditing(h)}
                >
                  <span className="w-24 text-lg font-bold">{h.hand.name}</span>
                  <span className="text-muted">{weekWords(h.hand)}</span>
                </button>
              </li>
            ))}
          </ul>
          <Button look="now" onClick={() => setEditing("new")}>
            Somebody more
          </Button>
        </div>
      )}
    </Sheet>
  );
}

function weekWords(hand: Schemas["HandSheet"]): string {
  const days = hand.week.map((d) => d.day.slice(0, 3).toLowerCase()).join(" ");
  const first = hand.week[0];
  const away = hand.away.map((a) => (a.from === a.to ? a.from : `${a.from} to ${a.to}`)).join(", ");
  return `${days}, ${first?.from.slice(0, 5)} to ${first?.to.slice(0, 5)}${away ? `; away ${away}` : ""}`;
}

const HAND = z.object({
  name: z.string(),
  from: z.string(),
  to: z.string(),
  days: z.array(z.boolean()),
  awayFrom: z.string(),
  awayTo: z.string(),
});

function HandForm({ hand, onClose }: { hand?: Hand; onClose: () => void }) {
  const [id] = useState(() => hand?.id ?? newId());
  const [gone, setGone] = useState(false);
  const first = hand?.hand.week[0];
  const away = hand?.hand.away[0];
  const { box, submit, trouble, error } = useEntry({
    schema: HAND,
    first: {
      name: hand?.hand.name ?? "",
      from: first?.from.slice(0, 5) ?? "08:00",
      to: first?.to.slice(0, 5) ?? "18:00",
      days: DAYS.map((d, i) => (hand ? hand.hand.week.some((w) => w.day === d) : i < 5)),
      awayFrom: away?.from ?? "",
      awayTo: away?.to ?? "",
    },
    fields: {
      name: "hand.name",
      awayFrom: "hand.away[0].from",
      awayTo: "hand.away[0].to",
      to: "hand.week[0].to",
    },
    elsewhere: ["hand.week"],
    send: (read) =>
      answered(
        api.PUT("/api/turnaround/hands/{id}", {
          params: { path: { id } },
          body: {
            hand: {
              name: read.name,
              week: DAYS.filter((_, i) => read.days[i]).map((day) => ({ day, from: read.from, to: read.to })),
              away:
                read.awayFrom === ""
                  ? []
                  : [{ from: read.awayFrom, to: read.awayTo === "" ? read.awayFrom : read.awayTo }],
              gone,
            },
            ...(hand?.version !== undefined && { basedOn: hand.version }),
          },
        }),
      ),
    kept: onClose,
  });
  return (
    <form className="grid gap-3" onSubmit={submit}>
      <Field label="Name or initials" autoFocus {...box("name")} />
      <fieldset>
        <legend className="text-sm font-semibold text-muted">There on</legend>
        <div className="flex flex-wrap gap-x-4">
          {DAYS.map((d, i) => (
            <Check key={d} label={d.slice(0, 1) + d.slice(1, 3).toLowerCase()} {...box(`days.${i}`)} />
          ))}
        </div>
        {error("hand.week") && <p className="text-sm font-semibold text-tight">✕ {error("hand.week")}</p>}
      </fieldset>
      <div className="grid grid-cols-2 gap-3">
        <Field label="From" type="time" {...box("from")} />
        <Field label="To" type="time" {...box("to")} />
        <Field label="Away from" type="date" {...box("awayFrom")} />
        <Field label="to" type="date" {...box("awayTo")} />
      </div>
      {trouble && <p className="font-semibold text-tight">✕ {trouble}</p>}
      <div className="flex gap-2">
        <Button look="now" type="submit">
          Keep
        </Button>
        {hand && (
          <Button type="submit" onClick={() => setGone(true)}>
            Is no more in the team
          </Button>
        )}
      </div>
    </form>
  );
}
