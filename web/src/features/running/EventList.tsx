import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { ApiProblem, answered, api, type Schemas } from "../../api/client";
import { newId } from "../../api/ids";
import { events as eventsQuery } from "../../api/queries";
import { Button } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Sheet } from "../../ui/Sheet";

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

function EventForm({ engineId, event, onClose }: EventFormProps) {
  const queries = useQueryClient();
  const [id] = useState(() => event?.id ?? newId());
  const [name, setName] = useState(event?.name ?? "");
  const [date, setDate] = useState(event?.date ?? "");
  const [planned, setPlanned] = useState(event ? String(event.plannedHours) : "");
  const [ran, setRan] = useState(event?.runHours === undefined ? "" : String(event.runHours));
  const number = (t: string) => (t.trim() === "" ? undefined : Number(t.replace(",", ".")));
  const keep = useMutation({
    mutationFn: () =>
      answered(
        api.PUT("/api/events/{id}", {
          params: { path: { id } },
          body: { engineId, name, date, plannedHours: number(planned) ?? 0, runHours: number(ran) },
        }),
      ),
    onSuccess: (list) => {
      queries.setQueryData(eventsQuery(engineId).queryKey, list);
      // Hours and coming events change what springs and lifters are told, and readiness with them.
      void queries.invalidateQueries({ queryKey: ["engines", engineId] });
      onClose();
    },
  });
  const errors = keep.error instanceof ApiProblem ? keep.error.errors : [];
  const error = (field: string) => errors.find((e) => e.field === field)?.message;
  return (
    <Sheet open onClose={onClose} title={event ? event.name : "New event"}>
      <form
        className="grid gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          keep.mutate();
        }}
      >
        <Field
          label="Name"
          value={name}
          onChange={(e) => setName(e.target.value)}
          error={error("name")}
          autoFocus
        />
        <Field
          label="Date"
          type="date"
          value={date}
          onChange={(e) => setDate(e.target.value)}
          error={error("date") ?? (keep.error && !date ? "give its date" : undefined)}
        />
        <Field
          label="Planned engine hours"
          inputMode="decimal"
          value={planned}
          onChange={(e) => setPlanned(e.target.value)}
          error={error("plannedHours")}
        />
        <Field
          label="Hours it ran, once it is over"
          inputMode="decimal"
          value={ran}
          onChange={(e) => setRan(e.target.value)}
          error={error("runHours")}
        />
        {keep.error && errors.length === 0 && date && (
          <p className="font-semibold text-tight">✕ {keep.error.message}</p>
        )}
        <Button look="now" type="submit">
          Keep this event
        </Button>
      </form>
    </Sheet>
  );
}
