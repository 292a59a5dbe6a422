// Which pages are looked at, and how the browser is started for it.
import { engineAndRound } from "../demo.mjs";

export const CHROMIUM =
  "--headless=new --no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking --disable-component-update --disable-sync".split(
    " ",
  );

/** The pages of the main engine, with a round that has just begun. */
export async function pages(base) {
  const { engine, round } = await engineAndRound(base);
  return {
    home: "/",
    round: `/rounds/${round}`,
    springs: `/engines/${engine}/springs`,
    lifters: `/engines/${engine}/lifters`,
    inspection: `/engines/${engine}/inspect`,
  };
}
