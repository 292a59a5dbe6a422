import { useQuery } from "@tanstack/react-query";
import { useEffect } from "react";
import { hours as hoursQuery } from "../../api/queries";
import { hoursText } from "../../units/boxes";

/** Puts an engine's hours into their box once they are known, and again for another engine. */
export function useHoursNow(engineId: string, put: (text: string) => void) {
  const now = useQuery({ ...hoursQuery(engineId), enabled: engineId !== "" }).data?.hours;
  // biome-ignore lint/correctness/useExhaustiveDependencies: only when the hours are others
  useEffect(() => {
    if (now !== undefined) put(hoursText(now));
  }, [now, engineId]);
}
