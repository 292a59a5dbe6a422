import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Link } from "@tanstack/react-router";
import { useState } from "react";
import { ApiProblem, answered, api, wordsOf } from "../../api/client";
import { engine as engineQuery, round as roundQuery } from "../../api/queries";
import { whenAllSent } from "../../outbox/outbox";
import { Initials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Check, Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { ofRound, type RoundParcel } from "./overlay";
import type { Round } from "./useRound";

/** The signature under a round; what still waits goes first. */
export function SignOff({ round, waits }: { round: Round; waits: readonly RoundParcel[] }) {
  const queries = useQueryClient();
  const settings = useSettings();
  const rules = useQuery(engineQuery(round.engineId)).data?.sheet.use?.classRules ?? [];
  const [initials, setInitials] = useState(settings.hand || round.hand);
  const [temp, setTemp] = useState("");
  const [note, setNote] = useState("");
  const [checked, setChecked] = useState<string[]>([]);
  const sign = useMutation({
    networkMode: "always",
    mutationFn: async () => {
      await whenAllSent((p) => ofRound([p], round.id).length > 0);
      return answered(
        api.PUT("/api/rounds/{id}/signature", {
          params: { path: { id: round.id } },
          body: {
            initials,
            headTempEndF: temp.trim() === "" ? undefined : Number(temp.replace(",", ".")),
            note: note || undefined,
            rulesChecked: checked,
          },
        }),
      );
    },
    onSuccess: (r) => {
      queries.setQueryData(roundQuery(round.id).queryKey, r);
      void queries.invalidateQueries({ queryKey: ["engines", round.engineId] });
    },
  });
  if (round.signedBy) {
    return (
      <Notice tone="know">
        Signed off by <strong>{round.signedBy}</strong>
        {round.signedAt && `, ${new Date(round.signedAt).toLocaleString()}`}.
        {round.headTempEndF !== undefined &&
          ` Heads ${round.headTempStartF ?? "?"} to ${round.headTempEndF} °F.`}
        {round.note && ` ${round.note}`}
      </Notice>
    );
  }
  const problem = sign.error instanceof ApiProblem ? sign.error : undefined;
  return (
    <form
      className="scribed grid gap-3 rounded p-4"
      aria-label="Sign off"
      onSubmit={(e) => {
        e.preventDefault();
        sign.mutate();
      }}
    >
      {rules.map((r) => (
        <Check
          key={r.rule}
          label={`Class rule looked at: ${[r.rule, r.source, r.date].filter(Boolean).join(", ")}`}
          checked={checked.includes(r.rule ?? "")}
          onChange={(e) =>
            setChecked(e.target.checked ? [...checked, r.rule ?? ""] : checked.filter((c) => c !== r.rule))
          }
        />
      ))}
      <div className="grid gap-3 min-[640px]:grid-cols-[8rem_12rem_1fr_auto] min-[640px]:items-start">
        <Initials
          value={initials}
          onChange={setInitials}
          error={problem?.errors.find((e) => e.field === "initials")?.message}
        />
        <Field
          label="Head temperature, °F"
          value={temp}
          inputMode="decimal"
          hint="at the end, if known"
          onChange={(e) => setTemp(e.target.value)}
        />
        <Field label="Note" value={note} maxLength={2000} onChange={(e) => setNote(e.target.value)} />
        <Button
          look={round.done === round.valves.length ? "now" : "plain"}
          type="submit"
          disabled={sign.isPending}
          className="min-[640px]:mt-6"
        >
          Sign off
        </Button>
      </div>
      {waits.length > 0 && (
        <Notice tone="care">
          {waits.length} {waits.length === 1 ? "figure is" : "figures are"} still on the way to Shim; the
          signature follows them. <Link to="/waiting">What waits</Link>
        </Notice>
      )}
      {sign.error && !problem && <Notice tone="stop">{wordsOf(sign.error)}</Notice>}
      {problem && !problem.errors.some((e) => e.field === "initials") && (
        <Notice tone="stop">{wordsOf(problem)}</Notice>
      )}
    </form>
  );
}
