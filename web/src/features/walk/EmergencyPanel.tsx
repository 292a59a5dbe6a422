import { OctagonX } from "lucide-react";
import type { Schemas } from "../../api/client";
import { Button } from "../../ui/Button";
import { ElsePart } from "./ElsePart";
import type { Act } from "./useJob";

interface EmergencyPanelProps {
  emergency: Schemas["Emergency"];
  others: Schemas["Otherwise"][];
  onDo: (act: Act) => void;
}

/** No key answers here by itself: whoever presses has looked. The hold failed under an unhooked valve: what to do now, and nothing else on the screen. */
export function EmergencyPanel({ emergency, others, onDo }: EmergencyPanelProps) {
  const { cylinder, valve, todo } = emergency;
  const rest = others.filter((o) => o.act === "DROPPED");
  return (
    <section
      role="alert"
      className="grid gap-4 rounded border-4 border-tight bg-plate p-5"
      aria-label="The hold is lost"
    >
      <h2 className="flex items-center gap-3 text-4xl font-extrabold text-tight">
        <OctagonX aria-hidden className="size-10" /> {valve}: the hold is lost
      </h2>
      <ol className="grid list-decimal gap-2 pl-8 text-2xl">
        {todo.map((t) => (
          <li key={t}>{t}</li>
        ))}
      </ol>
      <div className="flex flex-wrap gap-2">
        <Button
          look="now"
          className="min-h-16 text-2xl"
          onClick={() => onDo({ act: "REHELD", cylinder, word: "air again" })}
        >
          The air is back
        </Button>
        <Button
          className="min-h-16 text-lg"
          onClick={() => onDo({ act: "REHELD", cylinder, word: "fingers and a clip" })}
        >
          Held by fingers and a clip
        </Button>
      </div>
      <ElsePart others={rest} onDo={onDo} />
    </section>
  );
}
