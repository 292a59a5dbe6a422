/** The one place that lists the keys; screens take their hints from here too. */
export const KEYS: { title: string; keys: [key: string, does: string][] }[] = [
  {
    title: "Lash round: all from the number block",
    keys: [
      ["digits ⏎", "take the figure: 18 is 0.018 in (or write 0.018)"],
      ["⏎ alone", "as found is fine, on to the next valve"],
      ["18/19 ⏎", "the 18 goes, the 19 does not"],
      ["18- 18* 18+", "one leaf: snug, right, loose"],
      ["1/2 ⏎", "hydraulic: half a turn back to zero lash"],
    ],
  },
  {
    title: "Lash round: letters",
    keys: [
      ["S", "spring: whole, broken, loose (press again)"],
      ["R", "rocker: whole, worn, loose (press again)"],
      ["K", "skip this valve and come back"],
      ["N", "note at this valve"],
      ["P", "the crank went past its stop"],
      ["← →", "the valve before, the valve after"],
      ["U", "take the last figure back; at a fresh valve, the valve before"],
      ["A", "where the house rule passes what is in: set it anyway"],
    ],
  },
  {
    title: "Spring test",
    keys: [
      ["digits ⏎", "take the load, on to the next: 214.5 (or 954 N)"],
      ["⏎ alone", "on to the next spring that wants a reading"],
      ["T", "take the connected tester's reading once it is steady"],
      ["K", "skip this spring and come back"],
      ["U", "take the last reading back"],
      ["← →", "the spring before, the spring after"],
    ],
  },
  {
    title: "Measuring heads",
    keys: [
      ["digits ⏎", "take the figure, on to the next place; a pocket three times in a row"],
      ["⏎ alone, K", "on to the next place"],
      ["U", "take the last figure back"],
      ["← →", "the place before, the place after"],
    ],
  },
  {
    title: "Spring change, assembly, heads on",
    keys: [
      ["⏎", "the step at hand is done"],
      ["digits ⏎", "a count, a height, a lash, then done"],
      ["0.015 0.030 ⏎", "a stack of shims by its sizes, from the bottom"],
      ["no key", "a lost hold is only answered by pressing its button"],
    ],
  },
  { title: "Crank ribbon", keys: [["← →", "turn by 1°, with Shift by 10°"]] },
  {
    title: "Inspection",
    keys: [
      ["⏎ or 1", "the good one, on to the next look"],
      ["2 3 4", "the other findings, in their order on screen"],
      ["G", "all good at this place, on to the next"],
      ["5/6 ⏎", "guide plate: gap on both sides"],
      ["← →", "the place before, the next place"],
      ["K, U", "skip; take the finding back"],
    ],
  },
];
