import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { askedAnew } from "../../api/anew";
import { answered, api, type Schemas } from "../../api/client";
import { newId } from "../../api/ids";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { heightText, heightUnit } from "../../units/load";
import { Part } from "./CamFrame";
import { TipMark } from "./TipMark";

interface RodAnswerProps {
  engine: Schemas["EngineView"];
  view: Schemas["PushrodView"];
}

/** How many valves so many lengths serve, which are one-offs, and the list to order. */
export function RodAnswer({ engine, view }: RodAnswerProps) {
  const { unit, hand } = useSettings();
  const [few, setFew] = useState<number>();
  const text = (inch: number) => heightText(inch, unit);
  const last = view.choices.length - 1;
  const choice = view.choices[Math.min(few ?? last, last)];
  const counts = new Map<string, number>();
  for (const length of Object.values(choice?.at ?? {}))
    counts.set(text(length), (counts.get(text(length)) ?? 0) + 1);
  for (const length of Object.values(choice?.oneOffs ?? {}))
    counts.set(`${text(length)} one-off`, (counts.get(`${text(length)} one-off`) ?? 0) + 1);
  const order = useMutation({
    mutationFn: async () => {
      for (const [length, count] of counts) {
        await answered(
          api.PUT("/api/stock/orders/{id}", {
            params: { path: { id: newId() } },
            body: {
              order: {
                part: `pushrod ${length} ${heightUnit(unit)}`,
                count,
                engineId: engine.id,
                state: "WANTED",
                measured: [],
              },
              hand: hand || "–",
            },
          }),
        );
      }
    },
    onSuccess: askedAnew,
  });
  if (view.rods.length === 0)
    return <Notice tone="know">What to order stands here as soon as a valve is read.</Notice>;
  if (!choice)
    return <Notice tone="ask">Type the lengths that can be had: the few that serve most follow.</Notice>;
  const all = view.rods.length;
  const odd = Object.entries(choice.oneOffs);
  return (
    <>
      <Part title="Which lengths">
        <ul className="grid gap-1">
          {view.choices.map((c, i) => (
            <li key={c.lengthsIn.join()}>
              <button
                type="button"
                aria-current={c === choice}
                onClick={() => setFew(i)}
                className="flex min-h-11 w-full items-center justify-between gap-3 rounded border border-hair px-3 text-left aria-[current=true]:border-accent"
              >
                <span className="num text-xl">{c.lengthsIn.map(text).join("  ")}</span>
                <span>
                  {Object.keys(c.at).length} of {all}
                </span>
              </button>
            </li>
          ))}
        </ul>
        {odd.length > 0 && (
          <p>
            one-offs:{" "}
            {odd.map(([v, length]) => (
              <span key={v} className="mr-3 whitespace-nowrap">
                {v} <b className="num">{text(length)}</b>
              </span>
            ))}
          </p>
        )}
        {view.open.length > 0 && <p className="text-muted">not read: {view.open.join(" ")}</p>}
        <Button look="now" onClick={() => order.mutate()} disabled={order.isPending || order.isSuccess}>
          {order.isSuccess
            ? "On the order list"
            : `Put ${[...counts.values()].reduce((a, b) => a + b, 0)} on the order list`}
        </Button>
        {order.error && <p className="font-semibold text-tight">✕ {order.error.message}</p>}
      </Part>
      {view.rods
        .filter((r) => r.tipWidthIn !== undefined)
        .slice(0, 2)
        .map((r) => (
          <TipMark key={r.valve} rod={r} />
        ))}
    </>
  );
}
