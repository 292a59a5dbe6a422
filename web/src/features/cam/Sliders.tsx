import type { CamLive } from "../../api/camQueries";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { lashText, unitName } from "../../units/lash";
import { heightText, heightUnit } from "../../units/load";
import { Part } from "./CamFrame";

interface SlidersProps {
  live: CamLive;
  onLive: (live: CamLive) => void;
  hydraulic: boolean;
  /** The engine's own rocker ratios. */
  ratios: { intake: number; exhaust: number };
}

interface SlideProps {
  label: string;
  text: string;
  value: number;
  most: number;
  step: number;
  onMove: (v: number) => void;
}

function Slide({ label, text, value, most, step, onMove }: SlideProps) {
  return (
    <label className="grid grid-cols-[9rem_minmax(0,1fr)_9rem] items-center gap-3">
      <span className="text-muted">{label}</span>
      <input
        type="range"
        aria-valuetext={text}
        min={-most}
        max={most}
        step={step}
        value={value}
        onChange={(e) => onMove(Number(e.target.value))}
        className="h-11 w-full accent-(--accent)"
      />
      <b className="num text-xl">{text}</b>
    </label>
  );
}

/** What may be moved while the gaps follow: cam, lash, gasket or deck. */
export function Sliders({ live, onLive, hydraulic, ratios }: SlidersProps) {
  const { unit } = useSettings();
  const ratioBy = Math.round(((live.ratioIntake ?? ratios.intake) - ratios.intake) * 100) / 100;
  const moved = live.advanceDeg !== 0 || live.tighterIn !== 0 || live.raisesIn !== 0 || ratioBy !== 0;
  const turn = (by: number) =>
    onLive({ ...live, ratioIntake: ratios.intake + by, ratioExhaust: ratios.exhaust + by });
  const way = (v: number, more: string, less: string, text: string) =>
    v === 0 ? "as it is" : `${text} ${v > 0 ? more : less}`;
  return (
    <Part
      title="What if"
      aside={
        moved && (
          <Button look="quiet" onClick={() => onLive({ advanceDeg: 0, tighterIn: 0, raisesIn: 0 })}>
            All as it is
          </Button>
        )
      }
    >
      <Slide
        label="the cam is turned"
        text={way(live.advanceDeg, "advanced", "retarded", `${Math.abs(live.advanceDeg)}°`)}
        value={live.advanceDeg}
        most={10}
        step={0.5}
        onMove={(advanceDeg) => onLive({ ...live, advanceDeg })}
      />
      {!hydraulic && (
        <Slide
          label={`lash, ${unitName(unit)}`}
          text={way(live.tighterIn, "tighter", "looser", lashText(Math.abs(live.tighterIn), unit))}
          value={live.tighterIn}
          most={0.01}
          step={0.001}
          onMove={(tighterIn) => onLive({ ...live, tighterIn })}
        />
      )}
      <Slide
        label="rocker ratio"
        text={
          ratioBy === 0
            ? "as it is"
            : `${(ratios.intake + ratioBy).toFixed(2)} / ${(ratios.exhaust + ratioBy).toFixed(2)}`
        }
        value={ratioBy}
        most={0.2}
        step={0.05}
        onMove={turn}
      />
      <Slide
        label={`gasket or deck, ${heightUnit(unit)}`}
        text={way(live.raisesIn, "thicker", "cut", heightText(Math.abs(live.raisesIn), unit))}
        value={live.raisesIn}
        most={0.04}
        step={0.001}
        onMove={(raisesIn) => onLive({ ...live, raisesIn })}
      />
    </Part>
  );
}
