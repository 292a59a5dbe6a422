import { useState } from "react";
import * as z from "zod";
import { answered, api, type Schemas } from "../../api/client";
import { newId } from "../../api/ids";
import { Button } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Sheet } from "../../ui/Sheet";
import { useEntry } from "../../ui/useEntry";
import { boxText, figure } from "../../units/boxes";
import { useEventsKept } from "./useEventsKept";

interface EventListProps {
  engineId: string;
  events: Schemas["EventView"][];
}

/** Coming events, then what ran; an event becomes running when its hours are entered. */
export function EventList({ engineId, events }: EventListProps) {
  const [editing, setEditing] = useState<Schemas["EventView"] | "new" | null>(null);
  const coming = events.filter((e) => e.runHours === undefined);
  const ran = events.filter((e) => e.runHours !== undefined).reverse();
  return (
    <section className="scribed rounded p-4" aria-label="Events">
      <div className="mb-1 flex items-center justify-between">
        <h2 className="text-lg">Events</h2>
        <Button onClick={() => setEditing("new")}>Add an event</Button>
      </div>
      {events.length === 0 && (
        <p className="text-muted">Add the next one, so that Shim knows what is coming.</p>
      )}
      <ul className="max-h-56 overflow-auto">
        {[...coming, ...ran].map((e) => (
          <li key={e.id} className="border-t border-hair">
            <button
              type="button"
              onClick={() => setEditing(e)}
              className="flex min-h-11 w-full items-center gap-3 text-left hover:bg-raised"
            >
              <span className="w-24 text-muted">{e.date}</span>
              <span className="flex-1 font-semibold">{e.name}</span>
              <span className="num text-lg">{(e.runHours ?? e.plannedHours).toFixed(1)} h</span>
              <span className="w-16 text-sm text-muted">{e.runHours === undefined ? "planned" : "ran"}</span>
            </button>
          </li>
        ))}
      </ul>
      {editing && (
        <EventForm
          engineId={engineId}
          event={editing === "new" ? undefined : editing}
          onClose={() => setEditing(null)}
        />
      )}
    </section>
  );
}

interface EventFormProps {
  engineId: string;
  event?: Schemas["EventView"];
  onClose: () => void;
}

const EVENT = z.object({
  name: z.string(),
  date: z.string().min(1, "give its date"),
  plannedHours: figure(),
  runHours: figure(),
});

function EventForm({ engineId, event, onClose }: EventFormProps) {
  const eventsKept = useEventsKept(engineId);
  const [id] = useState(() => event?.id ?? newId());
  const { box, submit, trouble } = useEntry({
    schema: EVENT,
    first: {
      name: event?.name ?? "",
      date: event?.date ?? "",
      plannedHours: boxText(event?.plannedHours),
      runHours: boxText(event?.runHours),
    },
    send: (read) =>
      answered(
        api.PUT("/api/events/{id}", {
          params: { path: { id } },
          body: { engineId, ...read, plannedHours: read.plannedHours ?? 0 },
        }),
      ),
    kept: (list) => {
      eventsKept(list);
      onClose();
    },
  });
  return (
    <Sheet open onClose={onClose} title={event ? event.name : "New event"}>
      <form className="grid gap-3" onSubmit={submit}>
        <Field label="Name" {...box("name")} autoFocus />
        <Field label="Date" type="date" {...box("date")} />
        <Field label="Planned engine hours" inputMode="decimal" {...box("plannedHours")} />
        <Field label="Hours it ran, once it is over" inputMode="decimal" {...box("runHours")} />
        {trouble && <p className="font-semibold text-tight">✕ {trouble}</p>}
        <Button look="now" type="submit">
          Keep this event
        </Button>
      </form>
    </Sheet>
  );
}
