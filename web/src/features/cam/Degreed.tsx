import { Link } from "@tanstack/react-router";
import { Notice } from "../../ui/Notice";
import { type BenchProps, Part } from "./CamFrame";
import { degText, lateText } from "./camWords";

/** Over hours: a chain that stretches shows as later and later. */
export function Degreed({ engine, cam }: Pick<BenchProps, "engine" | "cam">) {
  const found = cam.degreeings.filter((d) => d.stands);
  return (
    <Part title="Degreed">
      {found.length === 0 ? (
        <p className="text-muted">Each time it is degreed stays here, by engine hours.</p>
      ) : (
        <table className="w-full">
          <thead>
            <tr className="text-left text-sm text-muted">
              <th>at</th>
              <th>ICL</th>
              <th>ECL</th>
              <th>LSA</th>
              <th>advance</th>
              <th>against the card</th>
            </tr>
          </thead>
          <tbody className="num text-lg">
            <tr className="border-t border-hair text-muted">
              <td>card</td>
              <td>{degText(cam.iclDeg)}</td>
              <td>{degText(cam.eclDeg)}</td>
              <td>{degText(cam.timing?.lsaDeg)}</td>
              <td>{degText(cam.timing?.advanceDeg)}</td>
              <td />
            </tr>
            {found.map((d) => (
              <tr key={d.id} className="border-t border-hair">
                <td>{d.sitting.engineHours.toFixed(1)} h</td>
                <td>{degText(d.stands?.iclDeg)}</td>
                <td>{degText(d.stands?.eclDeg)}</td>
                <td>{degText(d.stands?.lsaDeg)}</td>
                <td>{degText(d.stands?.advanceDeg)}</td>
                <td className="font-bold">{lateText(d.stands?.lateDeg)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {found.length > 1 && <Moved first={found.at(-1)} last={found[0]} />}
      {found.length > 0 && (
        <p>
          <Link to="/engines/$id/cam/degree" params={{ id: engine.id }}>
            Readings and what the drive can do
          </Link>
        </p>
      )}
    </Part>
  );
}

interface MovedProps {
  first?: BenchProps["cam"]["degreeings"][number];
  last?: BenchProps["cam"]["degreeings"][number];
}

function Moved({ first, last }: MovedProps) {
  const by = (last?.stands?.lateDeg ?? 0) - (first?.stands?.lateDeg ?? 0);
  const over = (last?.sitting.engineHours ?? 0) - (first?.sitting.engineHours ?? 0);
  if (Math.abs(by) < 0.5) return null;
  return (
    <Notice tone={by > 0 ? "ask" : "know"}>
      {`${Math.abs(by).toFixed(1)}° ${by > 0 ? "later" : "earlier"} than ${over.toFixed(1)} h before`}
      {by > 0 && ": a chain or belt that stretches does that; unless somebody moved it"}
    </Notice>
  );
}
