import type { Contents } from "./parcel";

/** What waits, as a person would say it. */
export function wordsFor(p: Contents): string {
  switch (p.kind) {
    case "reading":
      return `${p.body.valve} as ${p.body.phase.toLowerCase()} ${p.body.typed ?? "as found"}`;
    case "unread":
      return `${p.valve}: a figure taken back`;
    case "look":
      return `${p.valve}: ${seen(p.body)}`;
    case "crank":
      return `crank at ${Math.round(p.body.crankDeg)}°`;
    case "load":
      return `${p.body.valve ?? "spring"} reads ${p.body.typed ?? p.body.loadLbf}`;
    case "unload":
      return `${p.valve}: a load taken back`;
    case "check":
      return `check spring reads ${p.body.typed ?? p.body.loadLbf}`;
    case "seen":
      return `${place(p.body)}: ${p.body.grade ?? p.body.figure ?? p.body.liftIn ?? "seen"}`;
    case "unsee":
      return "a finding taken back";
    case "photo":
    case "foundPhoto":
      return "a photo";
    case "act":
      return `a step: ${p.body.act.toLowerCase().replaceAll("_", " ")}${p.body.valve ? ` at ${p.body.valve}` : ""}`;
    case "camFigure":
      return `${p.body.valve ?? "cam"}: a figure of the bench, ${p.body.figure}`;
    case "figure":
      return `${place(p.body)}: a figure of a head, ${p.body.figure}`;
    case "found":
      return `a finding: ${p.body.what.toLowerCase().replaceAll("_", " ")}`;
  }
}

const place = (f: { valve?: string; cylinder?: number }) =>
  f.valve ?? (f.cylinder === undefined ? "engine" : `cylinder ${f.cylinder}`);

function seen(look: { spring?: string; rocker?: string; note?: string; skipped: boolean }): string {
  const words = [
    look.skipped && "put off",
    look.spring && `spring ${look.spring.toLowerCase()}`,
    look.rocker && `rocker ${look.rocker.toLowerCase()}`,
    look.note && `note "${look.note}"`,
  ];
  return words.filter(Boolean).join(", ") || "looked at";
}

/** Where it belongs, to be looked at and put right there. */
export function homeOf(p: Contents): { to: string; params?: Record<string, string>; valve?: string } {
  switch (p.kind) {
    case "reading":
      return { to: "/rounds/$id", params: { id: p.roundId }, valve: p.body.valve };
    case "unread":
    case "look":
      return { to: "/rounds/$id", params: { id: p.roundId }, valve: p.valve };
    case "crank":
      return { to: "/rounds/$id", params: { id: p.roundId } };
    case "load":
    case "unload":
    case "check":
      return { to: "/tests/$id", params: { id: p.testId } };
    case "seen":
      return { to: "/engines/$id/lifters", params: { id: p.body.engineId }, valve: p.body.valve };
    case "unsee":
      return { to: "/engines/$id/lifters", params: { id: p.engineId } };
    case "photo":
      return p.engineId ? { to: "/engines/$id/lifters", params: { id: p.engineId } } : { to: "/" };
    case "act":
    case "found":
    case "foundPhoto":
      return { to: "/jobs/$id", params: { id: p.jobId } };
    case "camFigure":
      return { to: `/engines/$id/cam/${p.page}`, params: { id: p.engineId } };
    case "figure":
      return { to: "/heads/$id/measure", params: { id: p.headId } };
  }
}
