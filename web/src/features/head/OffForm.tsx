import { useQuery } from "@tanstack/react-query";
import { useNavigate } from "@tanstack/react-router";
import { useState } from "react";
import * as z from "zod";
import { askedAnew } from "../../api/anew";
import { answered, api } from "../../api/client";
import { newId } from "../../api/ids";
import { engines as enginesQuery, heads as headsQuery } from "../../api/queries";
import { Initials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Field, Select } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { Sheet } from "../../ui/Sheet";
import { useEntry } from "../../ui/useEntry";
import { hours } from "../../units/boxes";
import { useHoursNow } from "./useHoursNow";

const off = z.object({ engineId: z.string(), engineHours: hours(), name: z.string() });

/** Heads come off an engine; those without a record get one under a name. */
export function OffForm({ engineId, onClose }: { engineId?: string; onClose: () => void }) {
  const { hand, setHand } = useSettings();
  const navigate = useNavigate();
  const known = useQuery(enginesQuery()).data ?? [];
  const sitting = useQuery(headsQuery()).data ?? [];
  const [fresh] = useState(newId);
  const from = engineId ?? sitting.find((h) => h.engineId !== undefined)?.engineId;
  const start = known.find((e) => e.id === from) ?? known[0];
  const { box, form, submit, trouble, error } = useEntry({
    schema: off,
    first: { engineId: start?.id ?? "", engineHours: "", name: "" },
    elsewhere: ["hand"],
    send: (read) => {
      const id = sitting.find((h) => h.engineId === read.engineId)?.id ?? fresh;
      return answered(
        api.PUT("/api/heads/{id}/off", {
          params: { path: { id } },
          body: {
            engineId: read.engineId,
            engineHours: read.engineHours,
            name: read.name || undefined,
            hand,
          },
        }),
      );
    },
    kept: async (view) => {
      await askedAnew();
      onClose();
      await navigate({ to: "/heads/$id", params: { id: view.id } });
    },
  });
  const chosen = form.watch("engineId");
  useHoursNow(chosen, (text) => form.setValue("engineHours", text));
  const own = sitting.find((h) => h.engineId === chosen);
  return (
    <Sheet open onClose={onClose} title="Heads come off an engine">
      <form className="grid gap-3" onSubmit={submit}>
        <Select label="Engine" options={known.map((e) => [e.id, e.name] as const)} {...box("engineId")} />
        <Field label="Engine hours now" inputMode="decimal" className="num" {...box("engineHours")} />
        {own ? (
          <p>{own.name} come off, with the springs that are on them.</p>
        ) : (
          <Field
            label="Name of the heads"
            hint="they get a record, with heights, pockets and springs as they are known"
            {...box("name")}
          />
        )}
        <Notice tone="care">The engine is not ready until heads are on again and that walk is signed.</Notice>
        <Initials value={hand} onChange={setHand} error={error("hand")} />
        {trouble && <p className="font-semibold text-tight">✕ {trouble}</p>}
        <Button look="now" type="submit">
          They are off
        </Button>
      </form>
    </Sheet>
  );
}
