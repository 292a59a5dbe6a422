import { describe, expect, it } from "vitest";
import { MOVED, ROOMS, roomOf } from "./rooms";

describe("the rooms of an engine", () => {
  it("hold each of their pages", () => {
    expect(roomOf("/engines/7", "7")?.name).toBe("Now");
    expect(roomOf("/engines/7/", "7")?.name).toBe("Now");
    expect(roomOf("/engines/7/lash/order", "7")?.name).toBe("Lash");
    expect(roomOf("/engines/7/start", "7")?.name).toBe("Lash");
    expect(roomOf("/engines/7/setup/files", "7")?.name).toBe("Set-up");
    expect(roomOf("/engines/7/nowhere", "7")).toBeUndefined();
  });

  it("are what old addresses lead to", () => {
    const views = ROOMS.flatMap((r) => r.views.map(([to]) => to as string));
    for (const [old, now] of MOVED) {
      expect(views).toContain(now);
      expect(views).not.toContain(old);
    }
  });
});
