import { useQuery } from "@tanstack/react-query";
import type { Schemas } from "../../api/client";
import { seenInRounds } from "../../api/queries";
import { useSettings } from "../../shell/settings";
import { Notice } from "../../ui/Notice";
import { sayOf } from "../../words/said";

interface SeenInRoundsProps {
  engineId: string;
  part: Schemas["Finding"]["part"];
}

/** Springs or rockers that a round saw broken, loose or worn, until they are renewed or seen whole. */
export function SeenInRounds({ engineId, part }: SeenInRoundsProps) {
  const { unit } = useSettings();
  const seen = useQuery(seenInRounds(engineId)).data?.filter((f) => f.part === part) ?? [];
  return seen.map((f) => (
    <Notice key={f.valve} tone="stop">
      {sayOf(f.valve, f.said, unit)}. Seen in the round at {f.engineHours.toFixed(1)} h.
    </Notice>
  ));
}
