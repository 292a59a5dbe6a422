import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Link } from "@tanstack/react-router";
import * as z from "zod";
import { answered, api } from "../../api/client";
import { engine as engineQuery, round as roundQuery } from "../../api/queries";
import { whenAllSent } from "../../outbox/outbox";
import { Initials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Check, Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { useEntry } from "../../ui/useEntry";
import { measured, words } from "../../units/boxes";
import type { LashUnit } from "../../units/lash";
import { figureText, measureText, unitOf } from "../../units/measures";
import { ofRound, type RoundParcel } from "./overlay";
import type { Round } from "./useRound";

const signatureIn = (unit: LashUnit) =>
  z.object({
    initials: z.string(),
    headTempEndF: measured("warmth", unit),
    note: words(),
    rulesChecked: z.array(z.string()),
  });

/** The signature under a round; what still waits goes first. */
export function SignOff({ round, waits }: { round: Round; waits: readonly RoundParcel[] }) {
  const queries = useQueryClient();
  const settings = useSettings();
  const rules = useQuery(engineQuery(round.engineId)).data?.sheet.use?.classRules ?? [];
  const { box, choice, submit, trouble, keeping } = useEntry({
    schema: signatureIn(settings.unit),
    first: {
      initials: settings.hand || round.hand,
      headTempEndF: "",
      note: "",
      rulesChecked: [] as string[],
    },
    send: async (body) => {
      await whenAllSent((p) => ofRound([p], round.id).length > 0);
      return answered(api.PUT("/api/rounds/{id}/signature", { params: { path: { id: round.id } }, body }));
    },
    kept: (r) => queries.setQueryData(roundQuery(round.id).queryKey, r),
  });
  if (round.signedBy) {
    return (
      <Notice tone="know">
        Signed off by <strong>{round.signedBy}</strong>
        {round.signedAt && `, ${new Date(round.signedAt).toLocaleString()}`}.
        {round.headTempEndF !== undefined &&
          ` Heads ${figureText("warmth", round.headTempStartF, settings.unit)} to ${measureText("warmth", round.headTempEndF, settings.unit)}.`}
        {round.note && ` ${round.note}`}
      </Notice>
    );
  }
  return (
    <form className="scribed grid gap-3 rounded p-4" aria-label="Sign off" onSubmit={submit}>
      {rules.map((r) => (
        <Check
          key={r.rule}
          label={`Class rule looked at: ${[r.rule, r.source, r.date].filter(Boolean).join(", ")}`}
          value={r.rule}
          {...box("rulesChecked")}
        />
      ))}
      <div className="grid gap-3 min-[640px]:grid-cols-[8rem_12rem_1fr_auto] min-[640px]:items-start">
        <Initials {...choice("initials")} error={box("initials").error} />
        <Field
          label={`Head temperature, ${unitOf("warmth", settings.unit)}`}
          inputMode="decimal"
          hint="at the end, if known"
          {...box("headTempEndF")}
        />
        <Field label="Note" maxLength={2000} {...box("note")} />
        <Button
          look={round.done === round.valves.length ? "now" : "plain"}
          type="submit"
          disabled={keeping}
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
      {trouble && <Notice tone="stop">{trouble}</Notice>}
    </form>
  );
}
