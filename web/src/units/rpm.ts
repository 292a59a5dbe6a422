/** Engine speed to the nearest ten. */
export const rpmText = (v: number | undefined): string =>
  v === undefined ? "–" : (Math.round(v / 10) * 10).toLocaleString("en");
