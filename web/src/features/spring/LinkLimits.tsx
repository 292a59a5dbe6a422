import type { ApiProblem } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { heightUnit, loadUnit } from "../../units/load";
import { type LinkText, type LinkTexts, PARTS } from "./linkTexts";

interface LinkLimitsProps {
  caption: string;
  hint: string;
  /** Where Shim names a problem with a part. */
  field: string;
  texts: LinkTexts;
  onChange: (next: LinkTexts) => void;
  problems: ApiProblem["errors"];
}

const COLUMNS = ["load", "lift", "rpm"] as const satisfies (keyof LinkText)[];

/** What each part between cam and valve is good for; the nearest to its limit is named at every valve. */
export function LinkLimits({ caption, hint, field, texts, onChange, problems }: LinkLimitsProps) {
  const { unit } = useSettings();
  const heads = [`open load, ${loadUnit(unit)}`, `valve lift, ${heightUnit(unit)}`, "rpm"];
  return (
    <table className="w-full">
      <caption className="pb-1 text-left">
        {caption}
        <span className="block text-sm text-muted">{hint}</span>
      </caption>
      <thead>
        <tr className="text-left text-sm text-muted">
          <th className="font-normal">part</th>
          {heads.map((h) => (
            <th key={h} className="font-normal">
              {h}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {PARTS.map(([part, word]) => {
          const trouble = texts[part].unread ?? problems.find((p) => p.field === `${field}.${part}`)?.message;
          return (
            <tr key={part} className="border-t border-hair">
              <th scope="row" className="pr-2 text-left font-semibold">
                {word}
                {trouble && (
                  <span role="alert" className="block text-sm text-tight">
                    ✕ {trouble}
                  </span>
                )}
              </th>
              {COLUMNS.map((c, i) => (
                <td key={c} className="py-0.5 pr-1">
                  <input
                    aria-label={`${word}: ${heads[i]}`}
                    value={texts[part][c]}
                    inputMode="decimal"
                    onChange={(e) =>
                      onChange({
                        ...texts,
                        [part]: { ...texts[part], [c]: e.target.value, unread: undefined },
                      })
                    }
                    className="num min-h-11 w-full rounded border border-hair bg-raised px-2 text-lg"
                  />
                </td>
              ))}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
