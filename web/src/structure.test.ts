import { readdirSync, readFileSync } from "node:fs";
import { dirname, join, relative } from "node:path";
import { describe, expect, it } from "vitest";

const ROOT = "src";

const files = readdirSync(ROOT, { recursive: true, encoding: "utf8" })
  .filter((f) => /\.tsx?$/.test(f) && !/\.test\.|\.d\.ts$/.test(f))
  .filter((f) => !f.includes("node_modules"));

/** Folder by folder, what its files import. */
function uses(): Map<string, Set<string>> {
  const all = new Map<string, Set<string>>();
  for (const f of files) {
    const from = dirname(f);
    const to = all.get(from) ?? new Set();
    all.set(from, to);
    for (const [, path = ""] of readFileSync(join(ROOT, f), "utf8").matchAll(/from "(\.[^"]+)"/g)) {
      const folder = relative(".", dirname(join(from, path)));
      if (folder !== from) to.add(folder);
    }
  }
  return all;
}

describe("how the web is laid out", () => {
  it("has no two folders that use each other", () => {
    const all = uses();
    const circles = [...all].flatMap(([a, to]) =>
      [...to].filter((b) => a < b && all.get(b)?.has(a)).map((b) => `${a} and ${b}`),
    );
    expect(all.size).toBeGreaterThan(15);
    expect(circles).toEqual([]);
  });

  it("keeps a page within two hundred lines", () => {
    const long = files
      .filter((f) => f.endsWith("Page.tsx"))
      .map((f) => [f, readFileSync(join(ROOT, f), "utf8").split("\n").length - 1] as const)
      .filter(([, lines]) => lines > 200)
      .map(([f, lines]) => `${f}: ${lines}`);
    expect(long).toEqual([]);
  });
});
