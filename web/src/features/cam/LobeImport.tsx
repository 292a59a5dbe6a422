import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { askedAnew } from "../../api/anew";
import { answered, api, type Schemas } from "../../api/client";
import { newId } from "../../api/ids";
import { Initials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Check, Field, Select } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { Sheet } from "../../ui/Sheet";
import { heightText, heightUnit, sizeText } from "../../units/load";
import type { BenchProps } from "./CamFrame";
import { degText } from "./camWords";

/** A lift table from a file or the clipboard: looked at first, then kept. */
export function LobeImport({ engine, cam, onClose }: BenchProps & { onClose: () => void }) {
  const { hand, setHand } = useSettings();
  const valves = engine.layout.banks.flatMap((b) => b.valves);
  const [csv, setCsv] = useState("");
  const [valve, setValve] = useState(valves.find((v) => v.includes("I")) ?? valves[0] ?? "1I");
  const [on, setOn] = useState<"LOBE" | "VALVE">("VALVE");
  const [camDegrees, setCamDegrees] = useState(false);
  const [design, setDesign] = useState(false);
  const [name, setName] = useState("own dial");
  const [column, setColumn] = useState(0);
  const table = { csv, valve, on, camDegrees };
  const path = { id: engine.id };
  const look = useMutation({
    mutationFn: () =>
      answered(api.POST("/api/engines/{id}/cam/lobes/preview", { params: { path }, body: table })),
  });
  const keep = useMutation({
    mutationFn: () =>
      answered(
        api.PUT("/api/engines/{id}/cam/lobes/{lobeId}", {
          params: { path: { ...path, lobeId: newId() } },
          body: { table, column, name, design, engineHours: cam.engineHours, hand },
        }),
      ),
    onSuccess: async () => {
      await askedAnew();
      onClose();
    },
  });
  const columns = look.data;
  const seen = columns?.[column];
  const changed =
    <T,>(set: (v: T) => void) =>
    (v: T) => {
      set(v);
      look.reset();
    };
  return (
    <Sheet open onClose={onClose} title="A lift table">
      <div className="grid gap-3">
        <label className="grid gap-1">
          <span className="text-sm font-semibold text-muted">
            Degrees and lift a line, comma, semicolon or tab; more columns of lift may follow
          </span>
          <textarea
            rows={5}
            value={csv}
            onChange={(e) => changed(setCsv)(e.target.value)}
            className="num rounded border border-hair bg-raised p-2"
          />
        </label>
        <input
          type="file"
          aria-label="A file with the table"
          accept=".csv,.txt,.tsv"
          onChange={async (e) => changed(setCsv)((await e.target.files?.[0]?.text()) ?? "")}
        />
        <div className="grid grid-cols-2 items-end gap-3">
          <Select
            label="Whose lobe"
            options={valves.map((v) => [v, v] as const)}
            value={valve}
            onChange={(e) => changed(setValve)(e.target.value)}
          />
          <Choice
            label="The dial stood on"
            value={on}
            onChange={changed(setOn)}
            options={[
              ["VALVE", "the valve"],
              ["LOBE", "the lifter"],
            ]}
          />
        </div>
        <Check
          label="Its angles are cam degrees: one counts two at the crank"
          checked={camDegrees}
          onChange={(e) => changed(setCamDegrees)(e.target.checked)}
        />
        {!columns && (
          <Button look="now" onClick={() => look.mutate()} disabled={csv.trim() === ""}>
            Look at it
          </Button>
        )}
        {look.error && <Notice tone="stop">{look.error.message}</Notice>}
        {columns && columns.length > 1 && (
          <Select
            label="Which column"
            options={columns.map((c, i) => [String(i), c.name || `column ${i + 1}`] as const)}
            value={String(column)}
            onChange={(e) => setColumn(Number(e.target.value))}
          />
        )}
        {seen?.refused && <Notice tone="stop">{seen.refused}</Notice>}
        {seen?.figures && (
          <>
            <Seen figures={seen.figures} mm={seen.mm} />
            <Field label="Name" value={name} onChange={(e) => setName(e.target.value)} />
            <Check
              label="This is the design, not a measurement"
              checked={design}
              onChange={(e) => setDesign(e.target.checked)}
            />
            <Initials value={hand} onChange={setHand} />
            {keep.error && <p className="font-semibold text-tight">✕ {keep.error.message}</p>}
            <Button look="now" onClick={() => keep.mutate()} disabled={hand === "" || keep.isPending}>
              Keep this lobe
            </Button>
          </>
        )}
      </div>
    </Sheet>
  );
}

function Seen({ figures: f, mm }: { figures: Schemas["LobeFigures"]; mm: boolean }) {
  const { unit } = useSettings();
  return (
    <p className="text-lg">
      {f.rows} rows of {mm ? "mm" : "inch"}, every <b className="num">{degText(f.stepDeg)}</b>: lobe lift{" "}
      <b className="num">{heightText(f.liftIn, unit)}</b> {heightUnit(unit)}, run-out{" "}
      <b className="num">{sizeText(f.runOutIn, unit)}</b>, nose at{" "}
      <b className="num">{degText(f.centreDeg)}</b>
      {f.countedDown && "; the dial counted down and was turned round"}
    </p>
  );
}
