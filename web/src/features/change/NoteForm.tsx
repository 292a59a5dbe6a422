import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import * as z from "zod";
import { answered, api, type Valve } from "../../api/client";
import { newId } from "../../api/ids";
import { engine as engineQuery, openItems } from "../../api/queries";
import { Initials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Field, Select } from "../../ui/Field";
import { Sheet } from "../../ui/Sheet";
import { useEntry } from "../../ui/useEntry";
import { figure } from "../../units/boxes";

const NOTE = z.object({
  words: z.string(),
  valve: z.string(),
  part: z.string(),
  dueHours: figure(),
  dueOn: z.string(),
});

interface NoteFormProps {
  engineId: string;
  onClose: () => void;
}

/** Something to be put right, on the engine, a valve or a part; readiness hears it. */
export function NoteForm({ engineId, onClose }: NoteFormProps) {
  const queries = useQueryClient();
  const { hand, setHand } = useSettings();
  const [id] = useState(newId);
  const positions = useQuery(engineQuery(engineId)).data?.layout.banks.flatMap((b) => b.valves) ?? [];
  const { box, error, submit, trouble } = useEntry({
    schema: NOTE,
    first: { words: "", valve: "", part: "", dueHours: "", dueOn: "" },
    elsewhere: ["hand"],
    send: (read) =>
      answered(
        api.PUT("/api/engines/{id}/open-items/{itemId}", {
          params: { path: { id: engineId, itemId: id } },
          body: {
            kind: "NOTED",
            words: read.words,
            hand,
            ...(read.valve !== "" && { valve: read.valve as Valve }),
            ...(read.part !== "" && { part: read.part }),
            ...(read.dueHours !== undefined && { dueHours: read.dueHours }),
            ...(read.dueOn !== "" && { dueOn: read.dueOn }),
          },
        }),
      ),
    kept: (all) => {
      queries.setQueryData(openItems(engineId).queryKey, all);
      onClose();
    },
  });
  return (
    <Sheet open onClose={onClose} title="To be put right">
      <form className="grid gap-3" onSubmit={submit}>
        <Field
          label="What"
          placeholder="stand-in until the new one comes"
          autoFocus
          maxLength={400}
          {...box("words")}
        />
        <div className="grid grid-cols-2 gap-3">
          <Select
            label="At which valve"
            options={[["", "the whole engine"], ...positions.map((p) => [p, p] as [string, string])]}
            {...box("valve")}
          />
          <Field label="Which part" placeholder="pushrod" {...box("part")} />
          <Field label="By engine hours" inputMode="decimal" {...box("dueHours")} />
          <Field label="or by this day" type="date" {...box("dueOn")} />
        </div>
        <p className="text-sm text-muted">Without either it counts before every event.</p>
        <Initials value={hand} onChange={setHand} error={error("hand")} />
        {trouble && <p className="font-semibold text-tight">✕ {trouble}</p>}
        <Button look="now" type="submit">
          Note it
        </Button>
      </form>
    </Sheet>
  );
}
