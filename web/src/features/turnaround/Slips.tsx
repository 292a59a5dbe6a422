import { useMutation } from "@tanstack/react-query";
import { answered, api, wordsOf } from "../../api/client";
import { InlineInitials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import type { Turnaround } from "./board";
import { nameOf } from "./TaskCard";
import { at, slipWords } from "./words";

/** What is other than in the plan people work to; it is never changed under their hands. */
export function Slips({ turnaround: t }: { turnaround: Turnaround }) {
  const { hand } = useSettings();
  const agree = useMutation({
    mutationFn: () =>
      answered(
        api.PUT("/api/turnaround/agreed", {
          body: { hand, ...(t.agreed && { basedOn: t.agreed.version }) },
        }),
      ),
  });
  if (!t.plan) return <div className="min-h-[7.6rem] min-[640px]:min-h-[4.75rem]" />;
  if (t.agreed && t.agreed.slips.length === 0) return null;
  const name = nameOf(t);
  return (
    <Notice tone={t.agreed ? "care" : "know"}>
      <div className="flex flex-wrap items-center gap-3">
        <div className="min-w-60 flex-1">
          {t.agreed ? (
            <>
              <strong>
                Other than agreed at {at(t.agreed.at, t.now)} by {t.agreed.by}
                {t.agreed.ends !== t.plan.ends &&
                  `: the end was ${at(t.agreed.ends, t.now)}, it is ${at(t.plan.ends, t.now)}`}
              </strong>
              <ul className="text-sm">
                {t.agreed.slips.slice(0, 4).map((s) => (
                  <li key={s.id}>{slipWords(s, name(s.id), t.now)}</li>
                ))}
                {t.agreed.slips.length > 4 && <li>and {t.agreed.slips.length - 4} more</li>}
              </ul>
            </>
          ) : (
            "Nobody has agreed to this plan yet. Once you have, Shim says what slips against it."
          )}
          {agree.error && <p className="font-semibold text-tight">✕ {wordsOf(agree.error)}</p>}
        </div>
        <InlineInitials word="by" label="Your initials" placeholder="AB" />
        <Button onClick={() => agree.mutate()}>Work to this plan</Button>
      </div>
    </Notice>
  );
}
