import type { Schemas } from "../../api/client";
import type { LashUnit } from "../../units/lash";
import { heightUnit, loadText, loadUnit, readHeight, readLoad, sizeText } from "../../units/load";
import { day } from "../../words/days";

export type Stock = Schemas["StockView"];
export type Kind = Schemas["KindView"];
export type Due = Schemas["DueLine"];
export type OrderSheet = Schemas["OrderSheet"];
export type What = Schemas["MeasureSheet"]["what"];

/** An order, from whichever room it is looked at. */
export interface Order {
  id: string;
  order: OrderSheet;
  comes?: string;
  tooLate?: boolean;
  version: number;
}

export const WHATS: Record<What, string> = {
  BORE: "bore",
  OUTER: "outside",
  INNER: "inside",
  HEIGHT: "height",
  LENGTH: "length",
  THICKNESS: "thickness",
  LOAD: "load",
};

export const figureText = (what: What, figure: number | undefined, unit: LashUnit) =>
  what === "LOAD" ? loadText(figure, unit) : sizeText(figure, unit);

export const figureUnit = (what: What, unit: LashUnit) =>
  what === "LOAD" ? loadUnit(unit) : heightUnit(unit);

export const readFigure = (what: What, text: string, unit: LashUnit) =>
  what === "LOAD" ? readLoad(text, unit) : readHeight(text, unit);

/** What a measure allows: 0.570 to 0.572 in. */
export function allowed(m: Schemas["MeasureSheet"], unit: LashUnit): string {
  const low = figureText(m.what, m.wanted - m.below, unit);
  const high = figureText(m.what, m.wanted + m.above, unit);
  return `${low === high ? low : `${low} to ${high}`} ${figureUnit(m.what, unit)}`;
}

const FOUND: Record<Schemas["ArrivalLine"]["found"], string> = {
  FITS: "fits",
  TOO_SMALL: "too small",
  TOO_LARGE: "too large",
  NOT_MEASURED: "not measured",
};

/** What of a part was found wrong. */
export function wrongWords(lines: readonly Schemas["ArrivalLine"][], unit: LashUnit): string {
  return lines
    .filter((l) => l.found === "TOO_SMALL" || l.found === "TOO_LARGE")
    .map(
      (l) =>
        `${WHATS[l.what]} ${figureText(l.what, l.figure, unit)} ${figureUnit(l.what, unit)}, ${FOUND[l.found]}`,
    )
    .join("; ");
}

export function orderWords(o: Order): string {
  const count = o.order.count > 1 ? `${o.order.count} × ` : "";
  return `${count}${o.order.part}`;
}

/** What is known of a part's way. */
export function wayWords(o: Order): string {
  const late = o.tooLate ? "; it cannot arrive before the truck" : "";
  switch (o.order.state) {
    case "REFUSED":
      return `refused: ${o.order.found ?? "it does not fit"}; order it anew${late}`;
    case "WANTED":
      return o.comes
        ? `ordered today it comes ${day(o.comes)}${late}`
        : "nobody knows how long it takes: ask the supplier";
    case "ORDERED":
      return o.comes ? `comes ${day(o.comes)}${late}` : "ordered; no day is known";
    case "ARRIVED":
      return "here: measure it before it goes on";
    case "MEASURED":
      return `measured: ${o.order.found ?? "good"}`;
  }
}

const TO_ORDER = new Set(["WANTED", "REFUSED"]);

/** Orders by what is to be done about them. */
export function byWay<O extends Order>(orders: readonly O[]) {
  const of = (...states: OrderSheet["state"][]) => orders.filter((o) => states.includes(o.order.state));
  return { toOrder: of("WANTED", "REFUSED"), coming: of("ORDERED"), toMeasure: of("ARRIVED") };
}

/** Parts expected to fall due whose successors nobody has, the most urgent first. */
export const toOrder = (stock: Stock): Due[] => stock.due.filter((d) => d.expected && d.lacking > 0);

export function orderByWords(d: Due): string {
  switch (d.order) {
    case "TOO_LATE":
      return "it cannot arrive before the event";
    case "TODAY":
      return "order it today";
    case "LATER":
      return d.orderBy ? `order by ${day(d.orderBy)}` : "";
    case "UNKNOWN":
      return d.date ? "nobody knows how long it takes" : "the event has no date";
  }
}

/** Orders still to be made, supplier by supplier; those of no supplier last. */
export function bySupplier<O extends Order>(orders: readonly O[]): [string, O[]][] {
  const all = new Map<string, O[]>();
  for (const o of orders.filter((x) => TO_ORDER.has(x.order.state))) {
    const name = o.order.supplier ?? "";
    all.set(name, [...(all.get(name) ?? []), o]);
  }
  return [...all].sort(([a], [b]) => (a === "" ? 1 : b === "" ? -1 : a.localeCompare(b)));
}
