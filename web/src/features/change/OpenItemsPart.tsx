import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Link } from "@tanstack/react-router";
import { useState } from "react";
import { answered, api, type Schemas } from "../../api/client";
import { engine as engineQuery, jobs as jobsQuery, openItems } from "../../api/queries";
import { useSettings } from "../../shell/settings";
import { Button, buttonClass } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { day } from "../../words/days";
import { NoteForm } from "./NoteForm";

const KINDS: Record<Schemas["OpenItem"]["kind"], string> = {
  ORDER: "on order",
  STAND_IN: "stand-in",
  ODD: "odd one",
  RECHECK: "look again",
  INNER_OUT: "break-in",
  HEIGHT_OPEN: "not measured",
  HEADS_ON: "heads on",
  RESET: "set anew",
  UNFINISHED: "unfinished",
  NOTED: "noted",
};

/** Work that is open on this engine: spring changes, what they left, and what people noted. */
export function OpenItemsPart({ engineId }: { engineId: string }) {
  const jobs = useQuery(jobsQuery(engineId)).data ?? [];
  const items = (useQuery(openItems(engineId)).data ?? []).filter((i) => !i.closedAt);
  const open = jobs.find((j) => !j.endedAt);
  const [noting, setNoting] = useState(false);
  return (
    <section className="scribed rounded p-4" aria-label="Open work">
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="flex-1 text-lg">Open work</h2>
        {open ? (
          <Link to="/jobs/$id" params={{ id: open.id }} className={buttonClass("now")}>
            Go on with the job
          </Link>
        ) : (
          <Link to="/engines/$id/change" params={{ id: engineId }} className={buttonClass()}>
            Plan a change
          </Link>
        )}
        <Button onClick={() => setNoting(true)}>Note something</Button>
        <Link to="/practice" className={buttonClass("quiet")}>
          Practice
        </Link>
      </div>
      {noting && <NoteForm engineId={engineId} onClose={() => setNoting(false)} />}
      {open?.parked && <p className="text-3xl font-extrabold">Parked: {open.parked}</p>}
      {items.length === 0 && <p className="text-muted">Nothing is open.</p>}
      <ul>
        {items.map((i) => (
          <Item key={i.id} item={i} engineId={engineId} />
        ))}
      </ul>
      <ul>
        {jobs
          .filter((j) => j.endedAt)
          .map((j) => (
            <li key={j.id}>
              <Link
                to="/jobs/$id"
                params={{ id: j.id }}
                className="flex min-h-11 items-center gap-3 border-t border-hair no-underline hover:bg-raised"
              >
                <span className="num w-16 text-right text-xl">{j.engineHours.toFixed(1)} h</span>
                <span className="flex-1">{j.valves.join(" ")}</span>
                <span className="text-muted">{j.signedBy ? `signed ${j.signedBy}` : "unfinished"}</span>
              </Link>
            </li>
          ))}
      </ul>
    </section>
  );
}

function Item({ item, engineId }: { item: Schemas["OpenItem"]; engineId: string }) {
  const { hand } = useSettings();
  const queries = useQueryClient();
  const also = useQuery(engineQuery(engineId)).data?.sheet.use?.unit;
  const [closing, setClosing] = useState(false);
  const [why, setWhy] = useState("");
  const close = useMutation({
    mutationFn: () =>
      answered(
        api.PUT("/api/engines/{id}/open-items/{itemId}/closed", {
          params: { path: { id: engineId, itemId: item.id } },
          body: { hand: hand || item.hand, why },
        }),
      ),
    onSuccess: (all) => queries.setQueryData(openItems(engineId).queryKey, all),
  });
  return (
    <li className="border-t border-hair py-1">
      <div className="flex flex-wrap items-center gap-3">
        <span className="rounded border border-accent px-2 text-sm font-semibold text-accent">
          {KINDS[item.kind]}
        </span>
        <span className="min-w-40 flex-1 font-semibold">
          {[item.valve, item.part].filter(Boolean).join(" ")}
          {(item.valve || item.part) && ": "}
          {item.words}
          {item.dueOn && <span className="text-muted"> by {day(item.dueOn)}</span>}
          {item.dueHours !== undefined && (
            <span className="text-muted"> by {item.dueHours.toFixed(1)} h</span>
          )}
          {item.dueUsed !== undefined && (
            <span className="text-muted">
              {" "}
              or {Math.round(item.dueUsed)} {also ?? ""} in all
            </span>
          )}
        </span>
        {!closing && <Button onClick={() => setClosing(true)}>Put right</Button>}
      </div>
      {closing && (
        <form
          className="flex flex-wrap items-end gap-2 py-2"
          onSubmit={(e) => {
            e.preventDefault();
            close.mutate();
          }}
        >
          <div className="min-w-48 flex-1">
            <Field label="How" value={why} autoFocus onChange={(e) => setWhy(e.target.value)} />
          </div>
          <Button type="submit" look="now" disabled={why.trim() === ""}>
            It is done
          </Button>
        </form>
      )}
      {close.error && <Notice tone="stop">{close.error.message}</Notice>}
    </li>
  );
}
