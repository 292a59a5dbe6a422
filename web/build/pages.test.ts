import { existsSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { ASKED_FIRST, ON_EVERY_PAGE, routesOf, tooHeavy } from "./pages.ts";

const routes = routesOf(readFileSync("src/routes.tsx", "utf8"));

describe("what the build tells of the pages", () => {
  it("reads every route there is, on one line or on several", () => {
    const text = `at("/a", page(() => import("./features/a/APage"), "APage")),
      atValve("/b/$id", page(
        () => import("./features/b/BPage"), "BPage")),`;
    expect(routesOf(text)).toEqual([
      { path: "/a", file: "features/a/APage" },
      { path: "/b/$id", file: "features/b/BPage" },
    ]);
    const written = readFileSync("src/routes.tsx", "utf8").match(/page\(\s*\(\)/g) ?? [];
    expect(routes.length).toBe(written.length);
    expect(routes.filter((r) => !existsSync(`src/${r.file}.tsx`))).toEqual([]);
  });

  it("finds a page that weighs a byte more than it may", () => {
    const round = { path: "/rounds/$id", scripts: ["a", "b"], asks: [] };
    expect(tooHeavy([round], () => 90_000)).toEqual([]);
    expect(tooHeavy([round], (s) => (s === "a" ? 90_001 : 90_000))).toEqual([
      "/rounds/$id takes 180001 bytes of script, it may take 180000",
    ]);
  });

  it("asks first only what the API has, for pages there are", () => {
    const known = Object.keys(JSON.parse(readFileSync("openapi.json", "utf8")).paths);
    const pages = new Set(routes.map((r) => r.path));
    expect(Object.keys(ASKED_FIRST).filter((p) => !pages.has(p))).toEqual([]);
    const asked = [...Object.values(ASKED_FIRST).flat(), ...ON_EVERY_PAGE];
    expect(asked.filter((a) => !known.includes(a.replace("$id", "{id}")))).toEqual([]);
  });
});
