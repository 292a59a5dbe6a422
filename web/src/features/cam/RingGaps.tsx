import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { answered, api } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { Field } from "../../ui/Field";
import { Sheet } from "../../ui/Sheet";
import { heightText, heightUnit, readHeight, readNumber, sizeText } from "../../units/load";

const FACTOR = "0.0065";

/** A ring's end gap, and the taper two gaps of it tell. */
export function RingGaps({ boreIn, onClose }: { boreIn?: number; onClose: () => void }) {
  const { unit } = useSettings();
  const [bore, setBore] = useState(boreIn === undefined ? "" : heightText(boreIn, unit));
  const [factor, setFactor] = useState(FACTOR);
  const [top, setTop] = useState("");
  const [low, setLow] = useState("");
  const body = {
    boreIn: readHeight(bore, unit),
    factor: readNumber(factor),
    gapIn: readHeight(top, unit),
    otherGapIn: readHeight(low, unit),
  };
  const asked = useQuery({
    queryKey: ["ring-gap", body],
    queryFn: () => answered(api.POST("/api/calc/cam/ring-gap", { body })),
    retry: false,
  });
  const of = heightUnit(unit);
  return (
    <Sheet open onClose={onClose} title="Ring gaps">
      <div className="grid gap-3">
        <div className="grid grid-cols-2 gap-3">
          <Field
            label={`Bore, ${of}`}
            inputMode="decimal"
            value={bore}
            onChange={(e) => setBore(e.target.value)}
          />
          <Field
            label="Gap for each inch of bore"
            hint="0.0065 street, hypereutectic; the piston maker's figure beats it"
            inputMode="decimal"
            value={factor}
            onChange={(e) => setFactor(e.target.value)}
          />
        </div>
        <p>
          wanted: <b className="num text-3xl">{sizeText(asked.data?.wantedIn, unit)}</b> {of}
        </p>
        <div className="grid grid-cols-2 gap-3">
          <Field
            label={`Gap high in the bore, ${of}`}
            inputMode="decimal"
            value={top}
            onChange={(e) => setTop(e.target.value)}
          />
          <Field
            label={`Gap low in the bore, ${of}`}
            inputMode="decimal"
            value={low}
            onChange={(e) => setLow(e.target.value)}
          />
        </div>
        <p>
          taper: <b className="num text-3xl">{taperText(asked.data?.taperIn, unit)}</b> {of} of diameter
        </p>
        {asked.error && <p className="font-semibold text-tight">✕ {asked.error.message}</p>}
      </div>
    </Sheet>
  );
}

function taperText(inch: number | undefined, unit: "thou" | "mm"): string {
  if (inch === undefined) return "–";
  const text = unit === "mm" ? (inch * 25.4).toFixed(3) : inch.toFixed(5);
  return text.replace("-", "−");
}
