import { expect, it } from "vitest";
import { stopsOf } from "./useStart";

it("asks for as many stops as can be, and two while nothing can be read", () => {
  expect(stopsOf("4")).toBe(4);
  expect(stopsOf("3,6")).toBe(4);
  expect(stopsOf("")).toBe(2);
  expect(stopsOf("x")).toBe(2);
  expect(stopsOf("-3")).toBe(1);
  expect(stopsOf("1e9")).toBe(64);
  expect(stopsOf(undefined)).toBe(2);
});
