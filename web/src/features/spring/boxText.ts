import type { LashUnit } from "../../units/lash";
import { readHeight, readLoad } from "../../units/load";

export interface BoxedSpring {
  mark: string;
  loadLbf: number;
  odIn: number;
}

export interface BoxText {
  springs: BoxedSpring[];
  wrong: string[];
}

/** A box of springs as written down: one a line, its mark, its load, and its diameter where measured. */
export function readBox(text: string, unit: LashUnit): BoxText {
  const springs: BoxedSpring[] = [];
  const wrong: string[] = [];
  for (const [i, line] of text.split("\n").entries()) {
    const parts = line
      .trim()
      .split(/[\s;]+/)
      .filter(Boolean);
    const [mark, load, od] = parts;
    if (mark === undefined) continue;
    const loadLbf = load === undefined ? undefined : readLoad(load, unit);
    const odIn = od === undefined ? 0 : readHeight(od, unit);
    if (loadLbf === undefined) wrong.push(`line ${i + 1}: "${line.trim()}" has no load, such as B7 214.5`);
    else if (odIn === undefined) wrong.push(`line ${i + 1}: "${od}" is no diameter`);
    else if (springs.some((s) => s.mark === mark)) wrong.push(`line ${i + 1}: ${mark} stands twice`);
    else springs.push({ mark, loadLbf, odIn });
  }
  return { springs, wrong };
}
