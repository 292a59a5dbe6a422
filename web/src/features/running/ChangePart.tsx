import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { answered, api, type Schemas, type Valve } from "../../api/client";
import { newId } from "../../api/ids";
import { ValvePlan } from "../../plan/ValvePlan";
import { Initials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Field, Select } from "../../ui/Field";
import { Sheet } from "../../ui/Sheet";

type Part = Schemas["PartsChanged"]["part"];

const PARTS: readonly (readonly [Part, string])[] = [
  ["CAM", "cam"],
  ["PUSHROD", "pushrod"],
  ["ROCKER", "rocker"],
  ["STUD", "stud"],
  ["GUIDE_PLATE", "guide plate"],
  ["LIFTER", "lifter"],
  ["VALVE", "valve"],
  ["SEAT", "seat work"],
  ["SEAT_RING", "seat ring"],
  ["GASKET", "head gasket"],
  ["HEAD_SKIM", "head skimmed"],
];
const word = (p: Part) => PARTS.find(([v]) => v === p)?.[1] ?? p;

interface ChangePartProps {
  engine: Schemas["EngineView"];
  /** Engine hours now. */
  hours: number;
  changes: Schemas["ChangeLine"][];
}

/** Parts changed in a valve's chain: its lash is another story from then on. */
export function ChangePart({ engine, hours, changes }: ChangePartProps) {
  const [open, setOpen] = useState(false);
  return (
    <section className="scribed rounded p-4" aria-label="Parts changed">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-lg">Parts changed</h2>
        <Button onClick={() => setOpen(true)}>A part was changed</Button>
      </div>
      {changes.length === 0 && (
        <p className="text-sm text-muted">
          A cam, pushrod, rocker, lifter, valve, seat or gasket: tell it here, and drift starts anew at those
          valves.
        </p>
      )}
      <ul>
        {[...changes].reverse().map((c) => (
          <li key={c.id} className="flex gap-3 border-t border-hair py-1.5">
            <span className="num w-16 text-right text-lg">{c.engineHours.toFixed(1)} h</span>
            <span className="font-semibold">{word(c.part)}</span>
            <span>{c.valves.join(" ")}</span>
            <span className="text-muted">
              {c.hand}
              {c.note ? `: ${c.note}` : ""}
            </span>
          </li>
        ))}
      </ul>
      {open && <ChangeForm engine={engine} hours={hours} onClose={() => setOpen(false)} />}
    </section>
  );
}

interface ChangeFormProps {
  engine: Schemas["EngineView"];
  hours: number;
  onClose: () => void;
}

function ChangeForm({ engine, hours, onClose }: ChangeFormProps) {
  const settings = useSettings();
  const [id] = useState(() => newId());
  const [part, setPart] = useState<Part>("PUSHROD");
  const [valves, setValves] = useState<Valve[]>([]);
  const [hand, setHand] = useState(settings.hand);
  const [note, setNote] = useState("");
  const keep = useMutation({
    mutationFn: () =>
      answered(
        api.PUT("/api/chain-changes/{id}", {
          params: { path: { id } },
          body: { engineId: engine.id, valves, part, engineHours: hours, hand, note: note || undefined },
        }),
      ),
    onSuccess: () => {
      settings.setHand(hand);
      onClose();
    },
  });
  const toggle = (v: Valve) =>
    setValves((now) => (now.includes(v) ? now.filter((x) => x !== v) : [...now, v]));
  return (
    <Sheet open onClose={onClose} title="A part was changed">
      <div className="grid gap-3">
        <Select label="What" value={part} onChange={(e) => setPart(e.target.value as Part)} options={PARTS} />
        <p className="text-sm font-semibold text-muted">
          At which valves: {valves.join(" ") || "choose on the plan"}
        </p>
        <ValvePlan
          layout={engine.layout}
          facing="left"
          faces={Object.fromEntries(valves.map((v) => [v, { mark: "LOOK" as const, lit: true }]))}
          onSelect={toggle}
          label="Choose valves"
          className="h-56 w-full"
        />
        <Initials value={hand} onChange={setHand} />
        <Field label="Note" value={note} onChange={(e) => setNote(e.target.value)} />
        {keep.error && <p className="font-semibold text-tight">✕ {keep.error.message}</p>}
        <Button look="now" disabled={valves.length === 0 || hand.trim() === ""} onClick={() => keep.mutate()}>
          Keep: {word(part)} changed at {hours.toFixed(1)} h
        </Button>
      </div>
    </Sheet>
  );
}
