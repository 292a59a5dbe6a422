// What a screen costs with ten times the records: a demo's engine is grown to 10 rounds and 6 tests, and to 100 and 60,
// taken in as engines of their own, and asked for with nothing kept. Ten times is as it should be; more is not. Beside
// it, with Shim stopped, plain SQL for the same rows and core's work on them (shim.bench.BareScreens).
//   node bench/screens/growth.mjs [--write]      the last keeps the table in docs/bench/growth.md
import { execFileSync } from "node:child_process";
import { randomUUID } from "node:crypto";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { demo, json, mainEngine, put, timed } from "../demo.mjs";
import { at, ROOT, tell } from "../tell.mjs";

const SIZES = [
  { rounds: 10, tests: 6 },
  { rounds: 100, tests: 60 },
];
const TIMES = 7;
const SCREENS = ["hours", "rounds", "lash-history", "lash-drift", "readiness", "springs", "lifters", "cam", "file"];
const UUID = /^[\da-f]{8}-[\da-f]{4}-[\da-f]{4}-[\da-f]{4}-[\da-f]{12}$/;
const TIME = /^\d{4}-\d\d-\d\dT[\d:.]+Z$/;

/** As Shim itself is run, all but its archive of classes, so that only what stands around the work differs. */
const FLAGS = readFileSync(join(ROOT, "app/java.args"), "utf8")
  .split("\n")
  .filter((l) => l.startsWith("-XX:") && !l.startsWith("-XX:SharedArchiveFile"));

/** A copy under ids of its own; what it speaks of that is not in it is looked up in `known`. */
function renamed(part, known, own, days, hours) {
  const id = (was) => known.get(was) ?? own.get(was) ?? own.set(was, randomUUID()).get(was);
  const walk = (x, key) => {
    if (Array.isArray(x)) return x.map((y) => walk(y));
    if (x && typeof x === "object") return Object.fromEntries(Object.entries(x).map(([k, v]) => [k, walk(v, k)]));
    if (typeof x === "string" && UUID.test(x)) return id(x);
    if (typeof x === "string" && TIME.test(x)) return new Date(Date.parse(x) + days * 86_400_000).toISOString();
    return key === "engineHours" ? x + hours : x;
  };
  return walk(part);
}

/** So many of a kind, the last of them as they were and the others before them, in days and in hours. */
function grown(parts, count, known, copies) {
  const span = Math.max(...parts.map((p) => p.start.engineHours)) + 0.5;
  const all = [];
  for (let back = copies - 1; back >= 0; back--) {
    const own = new Map();
    for (const p of parts) all.push(renamed(p, known, own, -back * 160, (copies - 1 - back) * span));
  }
  return all.slice(-count);
}

execFileSync("mvn", "-B -ntp -q -pl bench -am package -DskipTests -Dspotless.check.skip=true".split(" "), {
  cwd: ROOT,
  stdio: "inherit",
});
const { base, folder, stop, end } = await demo();
const file = await json(fetch(`${base}/api/engines/${await mainEngine(base)}/file`));

/** How long a screen's call takes that is computed anew. */
async function computed(address) {
  const { ms, status } = await timed(address, { headers: { "Cache-Control": "no-store" } });
  if (status !== 200) throw new Error(`${address}: ${status}`);
  return ms;
}

const took = [];
const engines = [];
for (const { rounds, tests } of SIZES) {
  const known = new Map([[file.id, randomUUID()]]);
  const { lashRounds, springTests, jobs, openItems, ...rest } = file;
  const own = renamed(rest, known, known, 0, 0);
  const copies = Math.max(Math.ceil(rounds / file.lashRounds.length), Math.ceil(tests / springTests.length));
  own.sheet.name = `Hill V8 of ${rounds} rounds`;
  own.lashRounds = grown(lashRounds, rounds, known, copies);
  own.springTests = grown(springTests, tests, known, copies);
  const began = performance.now();
  const { id } = await json(put(`${base}/api/engine-files`, own));
  const imported = performance.now() - began;
  const screens = {};
  for (const s of SCREENS) {
    const all = [];
    for (let i = 0; i < TIMES + 3; i++) all.push(await computed(`${base}/api/engines/${id}/${s}`));
    screens[s] = at(all.slice(3), 0.5);
  }
  took.push({ import: imported, ...screens });
  engines.push(id);
}
await stop();
const bare = JSON.parse(
  execFileSync("java", [...FLAGS, "-cp", "bench/target/shim-bench.jar", "shim.bench.BareScreens", folder, ...engines], {
    cwd: ROOT,
    encoding: "utf8",
  }),
);
const [small, big] = took;
const times = (a, b) => (a / b).toFixed(1);
/** Readiness and lifters rest on both, so the two together are the least they cost. */
const least = (i, s) => bare[i][s] ?? bare[i]["lash-drift"] + bare[i].springs;
const told = [
  "what | 10 rounds, 6 tests, ms | 100 rounds, 60 tests, ms | times",
  "---|---|---|---",
  ...["import", ...SCREENS].map((s) => `${s} | ${small[s].toFixed(0)} | ${big[s].toFixed(0)} | ${times(big[s], small[s])}`),
  "",
  "Against plain SQL for the same rows and the core's work on them, in the same run and with the same flags of Java; for lifters and readiness those of springs and lash-drift added up, the least they need:",
  "",
  "what | bare, 10 rounds, ms | Shim, times | bare, 100 rounds, ms | Shim, times",
  "---|---|---|---|---",
  ...["springs", "lash-drift", "lifters", "readiness"].map((s) =>
    [s, least(0, s).toFixed(1), times(small[s], least(0, s)), least(1, s).toFixed(1), times(big[s], least(1, s))].join(" | "),
  ),
].join("\n");
tell("growth", told);
await end();
