// Asks a demo for what its screens show: right after a change, again, and as a poll that has the answer already.
//   node bench/screens/measure.mjs [--write]      the last keeps the table in docs/bench/screens.md
import { cranked, demo, engineAndRound, timed } from "../demo.mjs";
import { middle, tell } from "../tell.mjs";

const TIMES = 15;
const { base, end } = await demo();
const { engine, round } = await engineAndRound(base);

const ms = (x) => x.toFixed(1);

const change = cranked(base, round);

const SCREENS = ["hours", "lash-history", "readiness", "springs", "lifters", "lash-drift", "cam"].map(
  (s) => `/api/engines/${engine}/${s}`,
);
SCREENS.push("/api/engines", `/api/rounds/${round}`);

// What is hot is what counts: a server is asked all day.
for (let i = 0; i < TIMES; i++) {
  for (const path of SCREENS) await timed(base + path);
  await change();
}
const rows = [];
for (const path of SCREENS) {
  const first = [];
  const again = [];
  const poll = [];
  for (let i = 0; i < TIMES; i++) {
    await change();
    const one = await timed(base + path);
    first.push(one.ms);
    again.push((await timed(base + path)).ms);
    const told = await timed(base + path, { headers: { "If-None-Match": one.mark } });
    if (told.status === 304) poll.push(told.ms);
  }
  const [f, a, p] = [middle(first), middle(again), middle(poll)];
  rows.push([path.replace(engine, "…").replace(round, "…"), ms(f), ms(a), ms(p), (a / f).toFixed(2)].join(" | "));
}

const told = ["asked | after a change, ms | again, ms | a poll that has it, ms | again over first", "---|---|---|---|---", ...rows].join(
  "\n",
);
tell("screens", told);
await end();
