import { useState } from "react";
import { answered, api, type Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { heightText, sizeText } from "../../units/load";
import { type BenchProps, CamFrame, Part } from "./CamFrame";
import { LobeImport } from "./LobeImport";
import { LobeTold } from "./LobeTold";

type Lobe = Schemas["LobeView"];

/** Measured lobes: what each says, beside its design, and which stand for all of their kind. */
export function LobesPage() {
  return <CamFrame>{(bench) => <Lobes {...bench} />}</CamFrame>;
}

function Lobes({ engine, cam }: BenchProps) {
  const [taking, setTaking] = useState(false);
  const [shown, setShown] = useState<string>();
  const lobe = cam.lobes.find((l) => l.id === shown) ?? cam.lobes[0];
  return (
    <div className="grid gap-3 p-3">
      <div className="flex flex-wrap items-center gap-3">
        <p className="min-w-72 flex-1">
          A table of angle and lift answers what a card cannot: where the lobe leaves its base circle, where
          the valve really moves, how hard it turns back over the nose.
        </p>
        <Button look={cam.lobes.length === 0 ? "now" : "plain"} onClick={() => setTaking(true)}>
          Take in a lift table
        </Button>
      </div>
      {cam.lobes.length === 0 && (
        <Notice tone="know">No lobe was measured yet: everything goes by the card.</Notice>
      )}
      {lobe && (
        <div className="grid items-start gap-3 min-[1000px]:grid-cols-[minmax(0,1fr)_minmax(0,1.3fr)]">
          <div className="grid gap-3">
            <Kept lobes={cam.lobes} shown={lobe.id} onShow={setShown} />
            <Use engine={engine} cam={cam} lobe={lobe} />
          </div>
          <LobeTold lobe={lobe} all={cam.lobes} />
        </div>
      )}
      {taking && <LobeImport engine={engine} cam={cam} onClose={() => setTaking(false)} />}
    </div>
  );
}

interface KeptProps {
  lobes: Lobe[];
  shown: string;
  onShow: (id: string) => void;
}

function Kept({ lobes, shown, onShow }: KeptProps) {
  const { unit } = useSettings();
  return (
    <Part title="Kept">
      <ul className="grid gap-1">
        {lobes.map((l) => (
          <li key={l.id}>
            <button
              type="button"
              aria-current={l.id === shown}
              onClick={() => onShow(l.id)}
              className="flex min-h-11 w-full flex-wrap items-center justify-between gap-x-3 rounded border border-hair px-3 text-left aria-[current=true]:border-accent"
            >
              <span>
                <b>{l.valve}</b> {l.name} {l.inUse && <span className="text-ok">✓ in use</span>}
              </span>
              <span className="num text-muted">
                {heightText(l.figures.liftIn, unit)}
                {l.design ? " design" : ` at ${l.engineHours.toFixed(1)} h`}
                {l.differsIn !== undefined && `, ${sizeText(l.differsIn, unit)} off design`}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </Part>
  );
}

function Use({ engine, cam, lobe }: BenchProps & { lobe: Lobe }) {
  const { hand } = useSettings();
  const kind = lobe.valve.includes("I") ? "INTAKE" : "EXHAUST";
  const id = engine.id;
  const use = async () => {
    await answered(
      api.PUT("/api/engines/{id}/cam/lobes/{lobeId}/use", {
        params: { path: { id, lobeId: lobe.id } },
        body: { hand: hand || "–" },
      }),
    );
  };
  const card = async () => {
    await answered(
      api.PUT("/api/engines/{id}/cam/by-the-card", {
        params: { path: { id } },
        body: { kind, hand: hand || "–" },
      }),
    );
  };
  const aside = async () => {
    await answered(
      api.PUT("/api/engines/{id}/cam/lobes/{lobeId}/aside", {
        params: { path: { id, lobeId: lobe.id } },
        body: { hand: hand || "–" },
      }),
    );
  };
  const all = `all ${kind.toLowerCase()}s`;
  return lobe.inUse ? (
    <Notice tone="know">
      <p>
        Free windows, slack and durations of {all} go by this lobe, measured on {lobe.valve}.
      </p>
      <Button onClick={card}>Go by the card again</Button>
    </Notice>
  ) : (
    <Notice tone="ask">
      <p>
        {cam.measuredOn[kind] ? `The lobe of ${cam.measuredOn[kind]} stands` : "The card stands"} for {all}.
      </p>
      <Button look="now" onClick={use}>
        Let this lobe stand for {all}
      </Button>{" "}
      <Button look="quiet" onClick={aside}>
        Put this table aside
      </Button>
    </Notice>
  );
}
