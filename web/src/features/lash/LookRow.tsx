import { useState } from "react";
import type { Schemas } from "../../api/client";
import { Button } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import type { ValveView } from "./useRound";

interface LookRowProps {
  valve: ValveView;
  onLook: (change: Partial<Schemas["ValveLook"]>) => void;
  noting: boolean;
  onNoting: (on: boolean) => void;
  wanted: boolean;
}

/** What the eye sees at this valve, by one key each, and a note. */
export function LookRow({ valve, onLook, noting, onNoting, wanted }: LookRowProps) {
  const [note, setNote] = useState(valve.note ?? "");
  return (
    <div className="flex flex-wrap items-end gap-x-6 gap-y-2 border-t border-hair pt-2">
      {wanted && (
        <>
          <Choice
            label="Spring (S)"
            value={valve.spring ?? ""}
            onChange={(v) => v && onLook({ spring: v as ValveView["spring"] })}
            options={[
              ["WHOLE", "whole"],
              ["BROKEN", "broken"],
              ["LOOSE", "loose"],
            ]}
          />
          <Choice
            label="Rocker (R)"
            value={valve.rocker ?? ""}
            onChange={(v) => v && onLook({ rocker: v as ValveView["rocker"] })}
            options={[
              ["WHOLE", "whole"],
              ["WORN", "worn"],
              ["LOOSE", "loose"],
            ]}
          />
        </>
      )}
      {noting ? (
        <form
          className="flex flex-1 items-end gap-2"
          onSubmit={(e) => {
            e.preventDefault();
            onLook({ note });
            onNoting(false);
          }}
        >
          <label className="flex flex-1 flex-col gap-1 text-sm font-semibold text-muted">
            Note at {valve.position}
            <input
              // biome-ignore lint/a11y/noAutofocus: it was just asked for
              autoFocus
              value={note}
              maxLength={2000}
              onChange={(e) => setNote(e.target.value)}
              className="min-h-11 rounded border border-hair bg-raised px-3 text-base font-normal text-ink"
            />
          </label>
          <Button type="submit">Keep the note</Button>
        </form>
      ) : (
        <Button onClick={() => onNoting(true)}>{valve.note ? `Note: ${valve.note}` : "Note (N)"}</Button>
      )}
    </div>
  );
}
