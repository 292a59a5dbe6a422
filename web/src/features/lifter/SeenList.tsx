import type { Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { type LashUnit, thouText, unitName } from "../../units/lash";
import { sizeText } from "../../words/adjust";
import { LEVELS } from "./levels";

type Seen = Schemas["SeenView"];

interface SeenListProps {
  seen: Seen[];
  onTakeBack?: (id: string) => void;
}

/** What was seen, with what it usually means and what to do. */
export function SeenList({ seen, onTakeBack }: SeenListProps) {
  const { unit } = useSettings();
  return (
    <ul className="grid">
      {seen.map((s) => (
        <li key={s.id} className="flex flex-wrap items-center gap-x-3 border-t border-hair py-1">
          <span className={`font-semibold ${LEVELS[s.level].tone}`}>
            <span aria-hidden>{LEVELS[s.level].shape}</span> {s.title} {s.grade}
          </span>
          {s.figure !== undefined && <span className="num text-lg">{figureOf(s, s.figure, unit)}</span>}
          <span className="min-w-40 flex-1 text-sm text-muted">
            {s.means}
            {s.level !== "GOOD" && s.todo && `; ${s.todo}`}
            {s.note && `. ${s.note}`}{" "}
            {s.photo && (
              <a href={`/api/findings/${s.id}/photo`} target="_blank" rel="noreferrer">
                photo
              </a>
            )}
          </span>
          <span className="text-sm text-muted">
            {s.engineHours.toFixed(1)} h, {s.hand}
          </span>
          {onTakeBack && (
            <Button
              look="quiet"
              onClick={() => onTakeBack(s.id)}
              aria-label={`Take back ${s.title} ${s.grade}`}
            >
              Take back
            </Button>
          )}
        </li>
      ))}
    </ul>
  );
}

function figureOf(s: Seen, figure: number, unit: LashUnit): string {
  if (s.liftIn !== undefined) {
    return `${sizeText(s.liftIn, unit)}, ${thouText(figure, unit)} ${unitName(unit)} short`;
  }
  return s.unit === "thou" ? `${thouText(figure, unit)} ${unitName(unit)}` : `${figure} ${s.unit}`;
}
