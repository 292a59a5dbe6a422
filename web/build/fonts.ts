import { mkdirSync, readFileSync, writeFileSync } from "node:fs";
import subsetFont from "subset-font";
import type { Plugin } from "vite";

const FOLDER = "target/fonts";

/** What most pages are written with. */
const RANGES = [
  [0x20, 0x7e],
  [0xa0, 0xff],
  [0x2010, 0x2026],
  [0x2032, 0x2033],
  [0x2191, 0x2191],
  [0x2193, 0x2193],
  [0x2212, 0x2212],
] as const;

const USUAL = RANGES.flatMap(([from, to]) =>
  Array.from({ length: to - from + 1 }, (_, i) => String.fromCodePoint(from + i)),
).join("");

const hex = (n: number) => n.toString(16).toUpperCase();
const IN_USUAL = RANGES.map(([from, to]) => `U+${hex(from)}-${hex(to)}`).join(", ");

/** What is left of the range fontsource gives its latin file. */
const LEFT =
  "U+131, U+152-153, U+2BB-2BC, U+2C6, U+2DA, U+2DC, U+304, U+308, U+329, U+2000-200F, U+2027-2031, U+2034-206F, U+20AC, U+2122, U+2215, U+FEFF, U+FFFD";

const WORD = "@fontsource-variable/sofia-sans";
const NUM = "@fontsource/sofia-sans-extra-condensed";
const SHEETS = [
  { of: WORD, css: "index.css" },
  { of: NUM, css: "500.css" },
  { of: NUM, css: "700.css" },
];
const CUT = [
  {
    name: "word",
    from: `${WORD}/files/sofia-sans-latin-wght-normal.woff2`,
    axes: { wght: { min: 400, max: 800 } },
    face: 'font-family: "Sofia Sans Variable"; font-weight: 1 1000;',
  },
  {
    name: "num",
    from: `${NUM}/files/sofia-sans-extra-condensed-latin-700-normal.woff2`,
    axes: undefined,
    face: 'font-family: "Sofia Sans Extra Condensed"; font-weight: 700;',
  },
];

/** The faces as fontsource gives them; a latin one that is cut leaves the usual letters to the cut. */
function whole(): string {
  return SHEETS.map(({ of, css }) =>
    readFileSync(`node_modules/${of}/${css}`, "utf8")
      .split("@font-face")
      .slice(1)
      .map((face) => {
        const cut = CUT.some(({ from }) => face.includes(from.slice(from.lastIndexOf("/"))));
        const left = cut ? face.replace(/unicode-range:[^;]*;/, `unicode-range: ${LEFT};`) : face;
        // Every browser that runs Shim reads woff2.
        const modern = left.replace(/, url\([^)]*\.woff\) format\('woff'\)/, "");
        return `@font-face${modern.replace(/url\(\.\//g, `url(../../node_modules/${of}/`)}`;
      })
      .join(""),
  ).join("");
}

/** The two faces every page shows, cut down to the letters and weights in use; all others stay whole. */
export function fonts(): Plugin {
  return {
    name: "shim-fonts",
    async buildStart() {
      mkdirSync(FOLDER, { recursive: true });
      const faces: string[] = [];
      for (const { name, from, axes, face } of CUT) {
        const cut = await subsetFont(readFileSync(`node_modules/${from}`), USUAL, {
          targetFormat: "woff2",
          ...(axes && { variationAxes: axes }),
        });
        writeFileSync(`${FOLDER}/${name}.woff2`, cut);
        faces.push(
          `@font-face { ${face} font-style: normal; font-display: swap; src: url(./${name}.woff2) format("woff2"); unicode-range: ${IN_USUAL}; }`,
        );
      }
      writeFileSync(`${FOLDER}/fonts.css`, `${whole()}\n${faces.join("\n")}\n`);
    },
  };
}
