import { useState } from "react";
import type { Schemas } from "../../api/client";
import { Button } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Field, Select } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { PhotoButton } from "../../ui/PhotoButton";
import type { useJob } from "./useJob";

type Finding = Schemas["FindingEntry"];

const LOOKS: readonly (readonly [Finding["what"], string])[] = [
  ["WITNESS_MARKS", "witness marks on the spring"],
  ["LOCKS", "locks"],
  ["RETAINER", "retainer"],
  ["STEM_TIP", "stem tip"],
  ["SEAL", "seal"],
  ["SEAT", "seat"],
  ["GUIDE", "guide"],
  ["LIFTER_WHEEL", "wheel of the lifter"],
  ["PUSHROD", "pushrod"],
  ["ROCKER", "rocker"],
  ["OTHER", "something else"],
];
const GRADES: readonly (readonly [Finding["grade"], string])[] = [
  ["GOOD", "good"],
  ["WORN", "worn"],
  ["BAD", "bad"],
];

interface FindingPartProps {
  findings: Schemas["JobFinding"][];
  valve?: string;
  find: ReturnType<typeof useJob>["find"];
}

/** What the eye saw at this valve, with a photo if the device has a camera. */
export function FindingPart({ findings, valve, find }: FindingPartProps) {
  const [what, setWhat] = useState<Finding["what"]>("WITNESS_MARKS");
  const [grade, setGrade] = useState<Finding["grade"]>("WORN");
  const [note, setNote] = useState("");
  const [photo, setPhoto] = useState<File>();
  const [trouble, setTrouble] = useState<string>();
  const keep = () => {
    find({ valve, what, grade, note: note.trim() || undefined }, photo)
      .then(() => setTrouble(undefined))
      .catch((e: Error) => setTrouble(e.message));
    setNote("");
    setPhoto(undefined);
  };
  return (
    <details className="scribed rounded px-4 py-2">
      <summary className="min-h-11 content-center font-semibold">
        Findings{findings.length > 0 && `: ${findings.length}`}
      </summary>
      <div className="grid gap-3 pb-2">
        <div className="grid grid-cols-2 items-end gap-3">
          <Select
            label={valve ? `Seen at ${valve}` : "Seen"}
            value={what}
            onChange={(e) => setWhat(e.target.value as Finding["what"])}
            options={LOOKS}
          />
          <Choice label="It is" value={grade} onChange={setGrade} options={GRADES} />
        </div>
        <Field label="Note" value={note} maxLength={400} onChange={(e) => setNote(e.target.value)} />
        <div className="flex flex-wrap items-center gap-2">
          <PhotoButton photo={photo} onPhoto={setPhoto} />
          <Button onClick={keep}>Keep the finding</Button>
        </div>
        {trouble && <Notice tone="stop">{trouble}</Notice>}
        <FindingList findings={findings} />
      </div>
    </details>
  );
}

export function FindingList({ findings }: { findings: Schemas["JobFinding"][] }) {
  return (
    <ul>
      {findings.map((f) => (
        <li key={f.id} className="border-t border-hair py-1">
          <strong>{f.valve}</strong> {LOOKS.find(([w]) => w === f.what)?.[1]}:{" "}
          {GRADES.find(([g]) => g === f.grade)?.[1]}
          {f.note && `, ${f.note}`}{" "}
          {f.photo && (
            <a href={`/api/findings/${f.id}/photo`} target="_blank" rel="noreferrer">
              photo
            </a>
          )}{" "}
          <span className="text-muted">{f.hand}</span>
        </li>
      ))}
    </ul>
  );
}
