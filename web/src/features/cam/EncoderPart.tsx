import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { answered, api } from "../../api/client";
import { encoder as encoderQuery } from "../../api/queries";
import { Needle } from "../device/Needle";
import { usePlaced } from "../device/usePlaced";
import { degText } from "./camWords";
import type { What } from "./useSitting";

interface EncoderPartProps {
  what: What;
  heightIn: number;
  onTake: (deg: number) => void;
}

/** A crank encoder in the wheel's place; T takes what it shows while the box is empty. */
export function EncoderPart({ what, heightIn, onTake }: EncoderPartProps) {
  const queries = useQueryClient();
  const now = usePlaced(useQuery(encoderQuery(true)), `${what} ${heightIn}`, () =>
    api.PUT("/api/encoder/place", { body: { reading: what, heightIn } }),
  );
  const take = () => now?.steady && onTake(now.wheelDeg);
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const box = e.target instanceof HTMLInputElement ? e.target.value : "";
      if (e.key.toLowerCase() !== "t" || box !== "" || !now?.steady) return;
      e.preventDefault();
      onTake(now.wheelDeg);
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [now, onTake]);
  return (
    <Needle
      noun="encoder"
      now={now}
      text={degText(now?.wheelDeg)}
      unit=""
      onTake={take}
      connect={(to) => answered(api.PUT("/api/encoder", { body: to }))}
      onConnected={(d) => queries.setQueryData(encoderQuery(true).queryKey, d)}
    />
  );
}
