// Asks a demo for what its screens show: right after a change, again, and as a poll that has the answer already;
// then eight devices that poll while one writes, beside one device alone.
//   node bench/screens/measure.mjs [--seconds=60] [--write]      the last keeps the table in docs/bench/screens.md
import { demo, engineAndRound, put, timed } from "../demo.mjs";
import { at, tell } from "../tell.mjs";

const TIMES = 15;
const SECONDS = Number(/--seconds=(\d+)/.exec(process.argv.join(" "))?.[1] ?? 60);
const { base, end } = await demo();
const { engine, round } = await engineAndRound(base);

const ms = (x) => x.toFixed(1);

let crank = 0;
const change = () => put(`${base}/api/rounds/${round}/crank`, { crankDeg: (crank += 10) % 720, by: "KV" });

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
  const [f, a, p] = [at(first, 0.5), at(again, 0.5), at(poll, 0.5)];
  rows.push([path.replace(engine, "…").replace(round, "…"), ms(f), ms(a), ms(p), (a / f).toFixed(2)].join(" | "));
}

/** Devices that ask for the round every two seconds; how long each answer took. */
async function devices(count, seconds) {
  const took = [];
  const until = performance.now() + seconds * 1000;
  const device = async (i) => {
    let mark;
    await new Promise((is) => setTimeout(is, (i * 2000) / count));
    while (performance.now() < until) {
      const one = await timed(`${base}/api/rounds/${round}`, mark ? { headers: { "If-None-Match": mark } } : undefined);
      mark = one.mark ?? mark;
      took.push(one.ms);
      await new Promise((is) => setTimeout(is, 2000));
    }
  };
  const writer = async () => {
    while (performance.now() < until) {
      await change();
      await new Promise((is) => setTimeout(is, 1000));
    }
  };
  await Promise.all([writer(), ...Array.from({ length: count }, (_, i) => device(i))]);
  return took;
}
const alone = await devices(1, SECONDS);
const eight = await devices(8, SECONDS);
const told = [
  "asked | after a change, ms | again, ms | a poll that has it, ms | again over first",
  "---|---|---|---|---",
  ...rows,
  "",
  `One device polling a round for ${SECONDS} s beside one that writes every second: middle ${ms(at(alone, 0.5))} ms, p99 ${ms(at(alone, 0.99))} ms of ${alone.length}. Eight: middle ${ms(at(eight, 0.5))} ms, p99 ${ms(at(eight, 0.99))} ms of ${eight.length}; p99 ${(at(eight, 0.99) / at(alone, 0.99)).toFixed(2)} times.`,
].join("\n");
tell("screens", told);
await end();
