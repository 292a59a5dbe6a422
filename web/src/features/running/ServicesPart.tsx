import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import * as z from "zod";
import { answered, api, type Schemas } from "../../api/client";
import { services as servicesQuery } from "../../api/queries";
import { Initials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Sheet } from "../../ui/Sheet";
import { useEntry } from "../../ui/useEntry";
import { boxText, figure } from "../../units/boxes";

type Service = Schemas["ServiceView"];

const KINDS: Record<Service["kind"], { name: string; with: string; hint: string }> = {
  PLUGS: { name: "Plugs", with: "Heat range and gap", hint: "" },
  OIL: { name: "Oil", with: "Kind of oil", hint: "" },
  FUEL: { name: "Fuel", with: "Kind of fuel", hint: "0 where it is drained and dried after each running" },
};

interface ServicesPartProps {
  engineId: string;
  /** Engine hours now. */
  hours: number;
}

/** Plugs, oil and fuel: how long they still do, what is in, and when it was changed. */
export function ServicesPart({ engineId, hours }: ServicesPartProps) {
  const all = useQuery(servicesQuery(engineId)).data ?? [];
  const [open, setOpen] = useState<Service["kind"]>();
  const editing = all.find((s) => s.kind === open);
  return (
    <section className="scribed rounded p-4" aria-label="Plugs, oil, fuel">
      <h2 className="text-lg">Plugs, oil, fuel</h2>
      <ul>
        {all.map((s) => (
          <li key={s.kind} className="border-t border-hair">
            <button
              type="button"
              className="flex min-h-11 w-full flex-wrap items-center gap-x-3 text-left hover:bg-raised"
              onClick={() => setOpen(s.kind)}
            >
              <span className="w-16 font-semibold">{KINDS[s.kind].name}</span>
              <span className="flex-1 text-muted">{sinceWords(s)}</span>
              <span className={isOver(s, hours) ? "font-semibold text-wide" : "text-muted"}>
                {leftWords(s, hours)}
              </span>
            </button>
          </li>
        ))}
      </ul>
      {editing && (
        <ServiceForm engineId={engineId} hours={hours} service={editing} onClose={() => setOpen(undefined)} />
      )}
    </section>
  );
}

/** Fuel after each running is over as soon as it ran. */
const isOver = (s: Service, hours: number) =>
  s.sheet?.everyHours === 0 ? hours > (s.sheet.doneAtHours ?? 0) : (s.leftHours ?? 1) <= 0;

function leftWords(s: Service, hours: number): string {
  if (s.leftHours === undefined) return "no interval";
  if (s.sheet?.everyHours === 0) return isOver(s, hours) ? "! it ran since" : "done since it ran";
  return s.leftHours <= 0 ? `! over by ${(-s.leftHours).toFixed(1)} h` : `${s.leftHours.toFixed(1)} h left`;
}

function sinceWords({ sheet }: Service): string {
  if (!sheet) return "nothing is written yet";
  const done = sheet.doneAtHours === undefined ? "never done" : `done at ${sheet.doneAtHours.toFixed(1)} h`;
  return [sheet.with, sheet.doneOn, done].filter(Boolean).join(", ");
}

const SERVICE = z.object({
  everyHours: figure(),
  doneAtHours: figure(),
  doneOn: z.string(),
  with: z.string(),
});

interface ServiceFormProps extends ServicesPartProps {
  service: Service;
  onClose: () => void;
}

function ServiceForm({ engineId, hours, service, onClose }: ServiceFormProps) {
  const queries = useQueryClient();
  const { hand, setHand } = useSettings();
  const { kind, sheet, version } = service;
  const { box, error, form, submit, trouble } = useEntry({
    schema: SERVICE,
    first: {
      everyHours: boxText(sheet?.everyHours),
      doneAtHours: boxText(sheet?.doneAtHours),
      doneOn: sheet?.doneOn ?? "",
      with: sheet?.with ?? "",
    },
    fields: {
      everyHours: "service.everyHours",
      doneAtHours: "service.doneAtHours",
      doneOn: "service.doneOn",
      with: "service.with",
    },
    elsewhere: ["service.hand"],
    send: (read) =>
      answered(
        api.PUT("/api/engines/{id}/services/{kind}", {
          params: { path: { id: engineId, kind } },
          body: {
            service: {
              hand,
              ...(read.everyHours !== undefined && { everyHours: read.everyHours }),
              ...(read.doneAtHours !== undefined && { doneAtHours: read.doneAtHours }),
              ...(read.doneOn !== "" && { doneOn: read.doneOn }),
              ...(read.with !== "" && { with: read.with }),
            },
            ...(version !== undefined && { basedOn: version }),
          },
        }),
      ),
    kept: (all) => {
      queries.setQueryData(servicesQuery(engineId).queryKey, all);
      onClose();
    },
  });
  const now = () => {
    form.setValue("doneAtHours", boxText(Math.round(hours * 100) / 100));
    form.setValue("doneOn", new Date().toISOString().slice(0, 10));
  };
  const { name, with: what, hint } = KINDS[kind];
  return (
    <Sheet open onClose={onClose} title={name}>
      <form className="grid gap-3" onSubmit={submit}>
        <div className="grid grid-cols-2 gap-3">
          <Field
            label="Every so many hours"
            hint={hint}
            inputMode="decimal"
            autoFocus
            {...box("everyHours")}
          />
          <Field label={what} {...box("with")} />
          <Field label="Done at engine hours" inputMode="decimal" {...box("doneAtHours")} />
          <Field label="on" type="date" {...box("doneOn")} />
        </div>
        <Button onClick={now}>It was done today, at {hours.toFixed(1)} h</Button>
        <Initials value={hand} onChange={setHand} error={error("service.hand")} />
        {trouble && <p className="font-semibold text-tight">✕ {trouble}</p>}
        <Button look="now" type="submit">
          Keep
        </Button>
      </form>
    </Sheet>
  );
}
