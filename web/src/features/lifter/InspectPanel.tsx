import { type KeyboardEvent, useEffect, useRef, useState } from "react";
import type { Schemas } from "../../api/client";
import { HeldParcels } from "../../outbox/HeldParcels";
import { KeptHere } from "../../outbox/KeptHere";
import { UnknownInitials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Keypad } from "../../ui/Keypad";
import { Notice } from "../../ui/Notice";
import { nth } from "../../ui/nth";
import { PhotoButton } from "../../ui/PhotoButton";
import { useNarrow } from "../../ui/useNarrow";
import { thouText, unitName } from "../../units/lash";
import { DialPart, useDial } from "./DialPart";
import { graded, placeOf, type Question, readFigure } from "./inspectFlow";
import { LEVELS } from "./levels";
import { type Seen, useSeen } from "./useSeen";

interface InspectPanelProps {
  engineId: string;
  engineHours: number;
  question: Question;
  before?: Schemas["SeenView"];
  /** Every look still open at this place, this one included. */
  openHere: Question[];
  last: boolean;
  onNext: () => void;
  onPlace: (by: 1 | -1) => void;
  onBack: () => void;
}

/** One look at one place: its grades by one key or a thumb, or its figure. */
export function InspectPanel(props: InspectPanelProps) {
  const { engineId, engineHours, question, before, openHere, last, onNext, onPlace, onBack } = props;
  const { unit } = useSettings();
  const narrow = useNarrow();
  const { see, unsee, parcels, trouble: notKept } = useSeen(engineId, engineHours);
  const panel = useRef<HTMLElement>(null);
  const box = useRef<HTMLInputElement>(null);
  const [text, setText] = useState("");
  const [note, setNote] = useState("");
  const [photo, setPhoto] = useState<File>();
  const [unclear, setUnclear] = useState<string>();
  const trouble = unclear ?? notKept;
  const { look } = question;
  const figure = look.unit !== "";
  const several = openHere.length > 1;
  const lobe = look.look === "LOBE_LIFT";
  const dial = useDial(lobe ? question.valve : undefined);

  useEffect(() => {
    (figure ? box.current : panel.current)?.focus();
  }, [figure]);

  const here = (what: Partial<Seen>): Seen => ({
    look: look.look,
    valve: question.valve,
    cylinder: question.cylinder,
    note: note.trim() || undefined,
    ...what,
  });
  const keep = (what: Partial<Seen>) => {
    if (see([here(what)], photo)) onNext();
  };
  /** The whole place is good: every look still open there, by one key. */
  const allGood = () => {
    const good = openHere.map((q) => ({
      look: q.look.look,
      valve: q.valve,
      cylinder: q.cylinder,
      grade: nth(q.look.grades, 0).word,
    }));
    if (see(good)) onPlace(1);
  };
  const enter = () => {
    if (text.trim() === "") return setUnclear(`a figure in ${unitOf(question, unit)}, or one of the words`);
    const read = readFigure(look, text, unit === "mm");
    if ("unclear" in read) setUnclear(read.unclear);
    else keep(read.seen);
  };
  const key = (e: KeyboardEvent) => {
    // Dialogs opened from here bubble through the tree of components, not of the page.
    const at = e.target instanceof HTMLElement ? e.target : null;
    if (!at || !panel.current?.contains(at) || at.closest("[data-own-keys]")) return;
    const word = figure ? undefined : graded(look, e.key);
    if (e.ctrlKey || e.metaKey || e.altKey) return;
    if (figure && e.key === "Enter") enter();
    else if (word) keep({ grade: word });
    else if (lobe && text === "" && e.key.toLowerCase() === "t" && dial?.steady)
      keep({ liftIn: dial.liftIn });
    else if (text === "" && e.key.toLowerCase() === "g" && several) allGood();
    else if (text === "" && e.key === "ArrowRight") onPlace(1);
    else if (text === "" && e.key === "ArrowLeft") onPlace(-1);
    else if (text === "" && e.key === "ArrowUp") onBack();
    else if (text === "" && (e.key === "ArrowDown" || e.key.toLowerCase() === "k")) onNext();
    else if (text === "" && e.key.toLowerCase() === "u" && before) unsee(before.id);
    else return;
    e.preventDefault();
  };

  return (
    <section
      ref={panel}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: the panel takes the one-key grades
      tabIndex={0}
      onKeyDown={key}
      aria-label={`${placeOf(question)}: ${look.title}`}
      data-question={`${placeOf(question)} ${look.look}`}
      className="scribed flex flex-col gap-4 rounded p-4 outline-none"
    >
      <div className="flex flex-wrap items-baseline gap-x-6">
        <h2 className="num text-6xl">{placeOf(question)}</h2>
        <p className="text-3xl font-semibold text-accent">{look.title}</p>
        <p className="text-muted">{look.how}</p>
      </div>
      {before && (
        <p className={LEVELS[before.level].tone}>
          Seen already: {before.grade}
          {before.figure !== undefined &&
            ` (${before.unit === "thou" ? `${thouText(before.figure, unit)} ${unitName(unit)}` : `${before.figure} ${before.unit}`})`}
        </p>
      )}
      <div data-own-keys>
        <UnknownInitials />
      </div>
      {figure && (
        <div className="grid gap-2 min-[900px]:grid-cols-2">
          <div>
            <label htmlFor="seen-figure" className="text-lg font-semibold text-accent">
              In {unitOf(question, unit)}
            </label>
            <input
              id="seen-figure"
              ref={box}
              value={text}
              autoComplete="off"
              inputMode={narrow ? "none" : "decimal"}
              aria-invalid={Boolean(trouble)}
              onChange={(e) => setText(e.target.value)}
              className="num h-28 w-full rounded border-2 border-accent bg-raised px-4 text-[5.2rem] leading-none aria-invalid:border-tight"
            />
          </div>
          {narrow && (
            <Keypad
              onKey={(k) => setText(k === "⌫" ? text.slice(0, -1) : text + k)}
              onEnter={enter}
              of={look.look === "GUIDE_GAP" ? "gap" : "load"}
            />
          )}
          {lobe && <DialPart valve={question.valve ?? ""} now={dial} onTake={(liftIn) => keep({ liftIn })} />}
        </div>
      )}
      <div className="grid gap-3 min-[700px]:grid-cols-2">
        {look.grades.map((g, i) => (
          <button
            key={g.word}
            type="button"
            onClick={() => keep({ grade: g.word })}
            className={`flex min-h-20 items-center max-[899px]:min-h-28 gap-4 rounded border bg-raised px-4 py-2 text-left hover:border-line ${i === 0 && !figure ? "border-2 border-accent" : "border-hair"}`}
          >
            {!figure && <span className="num w-6 text-2xl text-muted">{i + 1}</span>}
            <span className={`text-3xl ${LEVELS[g.level].tone}`} aria-hidden>
              {LEVELS[g.level].shape}
            </span>
            <span className="min-w-0">
              <span className="block text-2xl font-semibold">{g.word}</span>
              <span className="text-sm text-muted">
                {g.means}
                {g.todo && g.level !== "GOOD" && ` → ${g.todo}`}
              </span>
            </span>
          </button>
        ))}
      </div>
      {trouble && <Notice tone="stop">{trouble}</Notice>}
      <HeldParcels parcels={parcels} />
      <KeptHere parcels={parcels.filter((p) => !p.held)} of="finding" />
      <span className="flex-1" />
      <div className="flex flex-wrap items-center gap-2" data-own-keys>
        <input
          aria-label="Note"
          placeholder="note, goes with the next finding"
          value={note}
          maxLength={400}
          onChange={(e) => setNote(e.target.value)}
          className="min-h-11 min-w-52 flex-1 rounded border border-hair bg-raised px-3"
        />
        <PhotoButton photo={photo} onPhoto={setPhoto} />
        {before && <Button onClick={() => unsee(before.id)}>Take back (U)</Button>}
        {several && <Button onClick={() => allGood()}>All good at {placeOf(question)} (G)</Button>}
        <Button onClick={onNext}>{last ? "End" : "Skip (K)"}</Button>
      </div>
      <p className="text-sm text-muted">
        {figure
          ? look.look === "GUIDE_GAP"
            ? "5/6 ⏎: both sides · ← → next place"
            : lobe && dial?.connected
              ? "T takes the dial · figure ⏎ · ← → next place"
              : "figure ⏎ · ← → next place"
          : "⏎ or 1: the good one · 2 to 4 · G all good here · ← → next place · K skip"}
      </p>
    </section>
  );
}

function unitOf(q: Question, unit: "thou" | "mm"): string {
  if (q.look.look === "LOBE_LIFT") return unit === "mm" ? "mm of lift" : "inch of lift";
  return q.look.unit === "thou" ? unitName(unit) : q.look.unit;
}
