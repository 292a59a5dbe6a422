import { ReadPanel } from "../../reading/ReadPanel";
import type { FigureUnit } from "../../units/figures";
import { type Place, placeName, readingsOf } from "./headFlow";
import { type Head, MEASURES, type What } from "./measures";

interface FigurePanelProps {
  head: Head;
  what: What;
  of: FigureUnit;
  place: Place;
  taken: number[];
  initials: boolean;
  onKeep: (figure: number) => void;
  onMove: (by: number) => void;
  onBack: () => void;
}

/** One figure of a head, large. */
export function FigurePanel({ head, what, place, ...rest }: FigurePanelProps) {
  return (
    <ReadPanel
      place={placeName(place, head)}
      name={MEASURES[what].name}
      how={MEASURES[what].how}
      wanted={readingsOf(head, what)}
      {...rest}
    />
  );
}
