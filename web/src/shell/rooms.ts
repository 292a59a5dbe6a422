/** The rooms of one engine, and what each holds; the first of each is where a room opens. */
export const ROOMS = [
  { name: "Now", views: [["/engines/$id", "Now"]] },
  {
    name: "Lash",
    views: [
      ["/engines/$id/lash", "History"],
      ["/engines/$id/lash/order", "Setting order"],
      ["/engines/$id/lash/sheet", "Lash sheet"],
    ],
  },
  {
    name: "Springs",
    views: [
      ["/engines/$id/springs", "Set"],
      ["/engines/$id/pockets", "Heights"],
      ["/engines/$id/change", "Change"],
      ["/engines/$id/spring-compare", "Choose"],
    ],
  },
  {
    name: "Lifters",
    views: [
      ["/engines/$id/lifters", "Drift"],
      ["/engines/$id/inspect", "Inspect"],
    ],
  },
  {
    name: "Cam",
    views: [
      ["/engines/$id/cam", "Stands"],
      ["/engines/$id/cam/lobes", "Lobes"],
      ["/engines/$id/cam/side-by-side", "Side by side"],
      ["/engines/$id/cam/clearance", "Clearance"],
      ["/engines/$id/cam/pushrods", "Pushrods"],
      ["/engines/$id/cam/float", "Float"],
    ],
  },
  {
    name: "Set-up",
    views: [
      ["/engines/$id/setup", "Engine"],
      ["/engines/$id/setup/springs", "Spring limits"],
      ["/engines/$id/setup/changes", "Change schools"],
      ["/engines/$id/setup/cam", "Cam bench"],
      ["/engines/$id/setup/files", "Files"],
    ],
  },
] as const;

/** Pages of a room that are no view of their own: a start, a paper. */
const ALSO: Record<string, (typeof ROOMS)[number]["name"]> = {
  "/start": "Lash",
  "/test": "Springs",
  "/spring-sheet": "Springs",
  "/spring-box": "Springs",
  "/order-sheet": "Springs",
  "/cam/degree": "Cam",
};

/** Where a room was before, and where it is now. */
export const MOVED = [
  ["/engines/$id/crank", "/engines/$id/lash/order"],
  ["/engines/$id/sheet", "/engines/$id/lash/sheet"],
  ["/engines/$id/files", "/engines/$id/setup/files"],
  ["/engines/$id/spring-setup", "/engines/$id/setup/springs"],
  ["/engines/$id/change-rules", "/engines/$id/setup/changes"],
] as const;

/** The room a page of an engine belongs to. */
export function roomOf(pathname: string, id: string): (typeof ROOMS)[number] | undefined {
  const page = pathname.replace(`/engines/${id}`, "").replace(/\/$/, "");
  const named = ALSO[page];
  return ROOMS.find(
    (r) => r.name === named || r.views.some(([to]) => to.replace("/engines/$id", "") === page),
  );
}
