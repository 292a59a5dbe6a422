// A demo of its own for what is measured on one: started as a user does, thrown away afterwards.
import { spawn } from "node:child_process";
import { randomUUID } from "node:crypto";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { ROOT } from "./tell.mjs";

/** Shim on a folder: its process, and its address once it says that it is ready. */
async function started(tree, command, folder) {
  const shim = spawn("java", ["@app/java.args", command, "--port=0", `--data=${folder}`], { cwd: tree });
  shim.stderr.on("data", (text) => process.stderr.write(text));
  const base = await new Promise((is, not) => {
    let said = "";
    shim.stdout.on("data", (text) => {
      said += text;
      const address = /ready: +(http:\S+\d)\//.exec(said)?.[1];
      if (address) is(address);
    });
    shim.on("exit", () => not(new Error("Shim did not start: run ./shim demo once")));
  });
  return { shim, base };
}

/**
 * Its address, its folder, how to stop it, to start it again (which tells its new address), and to end it, which
 * throws the folder away; of this tree, or of another that was built.
 */
export async function demo(tree = ROOT) {
  const folder = mkdtempSync(join(tmpdir(), "shim-measured-"));
  let { shim, base } = await started(tree, "demo", folder);
  const stop = async () => {
    if (shim.exitCode !== null || shim.signalCode !== null) return;
    const ended = new Promise((is) => shim.once("exit", is));
    shim.kill();
    await ended;
  };
  return {
    base,
    folder,
    stop,
    async again() {
      ({ shim, base } = await started(tree, "start", folder));
      return base;
    },
    async end() {
      await stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

export async function json(asked) {
  const answer = await asked;
  if (!answer.ok) throw new Error(`${answer.url}: ${await answer.text()}`);
  return answer.json();
}

export const put = (address, body) =>
  fetch(address, { method: "PUT", headers: { "Content-Type": "application/json" }, body: JSON.stringify(body) });

/** How long an answer took in milliseconds, its mark and its status. */
export async function timed(address, options) {
  const began = performance.now();
  const answer = await fetch(address, options);
  await answer.arrayBuffer();
  return { ms: performance.now() - began, mark: answer.headers.get("etag"), status: answer.status };
}

export const mainEngine = async (base) => (await json(fetch(`${base}/api/engines`)))[0].id;

/** The main engine, and a round on it that has just begun. */
export async function engineAndRound(base) {
  const engine = await mainEngine(base);
  const { hours } = await json(fetch(`${base}/api/engines/${engine}/hours`));
  const round = randomUUID();
  await json(
    put(`${base}/api/rounds/${round}`, {
      engineId: engine,
      state: "HOT",
      hand: "KV",
      engineHours: hours,
      school: "BEST_STOPS",
      stops: 8,
      onMarks: false,
      lookAtSprings: false,
    }),
  );
  return { engine, round };
}

/** Turns a round's crank on a little at each call: a change of the records, and a small one. */
export function cranked(base, round) {
  let crank = 0;
  return () => put(`${base}/api/rounds/${round}/crank`, { crankDeg: (crank += 10) % 720, by: "KV" });
}
