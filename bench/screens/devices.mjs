// Eight devices that poll a round while one writes to it, beside one device alone: a minute of the one, a minute of the
// other, in turns, so that what the machine does besides falls on both.
//   node bench/screens/devices.mjs [--minutes=10] [--write]      the last keeps the table in docs/bench/devices.md
import { cranked, demo, engineAndRound, timed } from "../demo.mjs";
import { at, tell } from "../tell.mjs";

const MINUTES = Number(/--minutes=(\d+)/.exec(process.argv.join(" "))?.[1] ?? 10);
const MINUTE_MS = 60_000;
const POLL_MS = 2000;
const WRITE_MS = 1000;
const EIGHT = 8;

const { base, end } = await demo();
const { round } = await engineAndRound(base);
const pause = (ms) => new Promise((is) => setTimeout(is, ms));

const change = cranked(base, round);

/** Devices that ask for the round every two seconds for a minute; how long each answer took. */
async function minuteOf(count) {
  const took = [];
  const until = performance.now() + MINUTE_MS;
  const device = async (i) => {
    let mark;
    await pause((i * POLL_MS) / count);
    while (performance.now() < until) {
      const one = await timed(`${base}/api/rounds/${round}`, mark ? { headers: { "If-None-Match": mark } } : undefined);
      mark = one.mark ?? mark;
      took.push(one.ms);
      await pause(POLL_MS);
    }
  };
  const writer = async () => {
    while (performance.now() < until) {
      await change();
      await pause(WRITE_MS);
    }
  };
  await Promise.all([writer(), ...Array.from({ length: count }, (_, i) => device(i))]);
  return took;
}

// What is hot is what counts: a server is asked all day.
await minuteOf(EIGHT);
const alone = [];
const eight = [];
for (let minute = 0; minute < MINUTES; minute++) {
  alone.push(...(await minuteOf(1)));
  eight.push(...(await minuteOf(EIGHT)));
}
const SHARES = [0.5, 0.95, 0.99];
const row = (what, of) => [what, of(alone), of(eight)].join(" | ");
const told = [
  `polled for ${MINUTES} minutes each | one device | eight devices`,
  "---|---|---",
  row("answers", (all) => all.length),
  ...SHARES.map((s) => row(`${s * 100} % within, ms`, (all) => at(all, s).toFixed(1))),
  row("99 %, times one device's", (all) => (at(all, 0.99) / at(alone, 0.99)).toFixed(2)),
].join("\n");
tell("devices", told);
await end();
