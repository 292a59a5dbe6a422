/** Made once: making one takes longer than all else a page does with its dates. */
const SHORT = new Intl.DateTimeFormat("en-GB", {
  weekday: "short",
  day: "numeric",
  month: "short",
  timeZone: "UTC",
});

/** A day in short: Thu 3 Dec. */
export const day = (date: string) => SHORT.format(new Date(`${date.slice(0, 10)}T12:00:00Z`));

/** A day so many days later, or earlier below zero. */
export function addDays(date: string, days: number): string {
  const noon = new Date(`${date}T12:00:00Z`);
  noon.setUTCDate(noon.getUTCDate() + days);
  return noon.toISOString().slice(0, 10);
}
