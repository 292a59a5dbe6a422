package shim.core.lifter;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoublePredicate;
import shim.core.unit.Figures;
import shim.core.unit.Known;

/**
 * The grades of each look, as a table: look | word | level | what it usually means | what to do.
 */
final class Grades {
  private static final String TABLE =
      """
      JAM_NUT | tight | GOOD | the adjuster has held |
      JAM_NUT | moved | BAD | it slipped: the lash is not the engine's doing | set again, new nut, mark it
      WITNESS | none | GOOD | coils do not touch |
      WITNESS | faint | WORN | coils have touched at speed: near bind or surge | check bind clearance and load
      WITNESS | bright | BAD | coil bind or float | check bind clearance before it runs
      RETAINER | clean | GOOD | sits as it should |
      RETAINER | worn | WORN | the spring has walked or a lock is sinking in | measure height, renew soon
      RETAINER | cracked | BAD | the next over-rev lets the valve go | renew, look at its neighbours
      LOCKS | gap even | GOOD | both halves hold |
      LOCKS | gap uneven | WORN | one half sits deeper | take out and compare
      LOCKS | no gap | BAD | halves touch and no longer wedge | renew both halves
      TICK_COLD | quiet | GOOD | nothing loose |
      TICK_COLD | ticks | WORN | solid and roller rockers tick a little; a hydraulic one may have bled down | listen again hot
      TICK_HOT | quiet | GOOD | took up its play |
      TICK_HOT | ticks | WORN | lash, lifter, geometry or a rubbing pushrod | lash first, then guide plate gap
      STEM_TIP | square | GOOD | the rocker runs in the middle |
      STEM_TIP | off centre | WORN | geometry or a leaning rocker; a slight cant can be meant | check pushrod length and guide plate
      STEM_TIP | mushroomed | BAD | hammered by wide lash, or soft | dress before it goes through the guide; renew valve
      GUIDE_GAP | even | GOOD | 5 thou or more each side |
      GUIDE_GAP | tight | WORN | rubs when hot | bend or slot the plate, at least 5 thou each side
      GUIDE_GAP | touching | BAD | cuts the pushrod and ticks | move the plate, look at the pushrod
      PUSHROD_RUB | none | GOOD | runs free |
      PUSHROD_RUB | polished | WORN | touches its plate | guide plate gap, rocker square on the tip
      PUSHROD_RUB | grooved | BAD | has been sawn at | renew, move the plate
      ROCKER_UNDERSIDE | clean | GOOD | the pushrod stays in its cup |
      ROCKER_UNDERSIDE | marked | WORN | it has been dropping onto its pushrod | measure the lobe's lift
      ROCKER | good | GOOD | tip, trunnion and underside clean |
      ROCKER | tip worn | WORN | hammered or dry; opens lash slowly | renew soon, look at the stem tip
      ROCKER | loose on its trunnion | BAD | needles going | renew before it runs
      PUSHROD | straight | GOOD | tips round, rolls true |
      PUSHROD | tips worn | WORN | dry cup; opens lash slowly | renew, look at the cup and its oil hole
      PUSHROD | bent | BAD | valve met something, float, or bind | leak-down of that cylinder before it runs
      GUIDE_PLAY | small | GOOD | seat and guide in line |
      GUIDE_PLAY | worn | WORN | the valve dances on its seat and beats it | watch the seat and oil used
      GUIDE_PLAY | loose | BAD | head work due | head off
      SPRING_HEIGHT | unchanged | GOOD | seat and locks have not moved |
      SPRING_HEIGHT | grown | WORN | seat sunk or locks sinking in; load down by rate times that | which one: lash closed means seat
      SPRING_HEIGHT | grown much | BAD | seat, valve head or retainer | leak-down, then pull it
      LOBE_LIFT | full | GOOD | lobe and lifter give the card's lift |
      LOBE_LIFT | short | WORN | worn lobe or lifter | pull the lifter, look at wheel and lobe
      LOBE_LIFT | flat | BAD | the lobe is gone | cam and lifters out; oil and filter
      LEAK_DOWN_TIME | holds | GOOD | plunger fits |
      LEAK_DOWN_TIME | quick | WORN | worn or dirty; may tick cold | clean, test again
      LEAK_DOWN_TIME | drops | BAD | will not hold the valve's lift | renew
      PLUNGER | firm | GOOD | holds oil |
      PLUNGER | soft | WORN | aerated oil, dirt, or bled down | bleed and try again
      PLUNGER | stuck | BAD | varnish or dirt; lash noise or a held valve | renew or strip and clean
      WHEEL | smooth | GOOD | turns free, no marks |
      WHEEL | rough | WORN | needles going, or dirt | wash and try again; else out
      WHEEL | pitted | BAD | surface breaking up; the lobe has seen it too | renew, look at the lobe, cut the filter
      WHEEL | blue | BAD | ran dry or skidded | renew, find where its oil went
      AXLE_PLAY | none to feel | GOOD | needles whole |
      AXLE_PLAY | some | WORN | needles wearing | rebuild soon
      AXLE_PLAY | much | BAD | needles about to leave | renew, count the needles
      BODY | clean | GOOD | runs straight in its bore |
      BODY | polished | WORN | side load or a dry bore | look at the link bar and the pushrod's line
      BODY | scuffed | BAD | seizing in its bore | renew, look at the bore
      SEAT_LEAK | tight | GOOD | valves and rings hold |
      SEAT_LEAK | leaks | WORN | where it hisses tells which | listen at inlet, exhaust, breather
      SEAT_LEAK | leaks badly | BAD | bent valve, sunk or burnt seat, or rings | do not run it; find which
      SEAT_FLUID | dry | GOOD | seat holds |
      SEAT_FLUID | weeps | WORN | seat pitted or narrow | lap or watch
      SEAT_FLUID | runs | BAD | bent valve or a bad seat | head off
      OIL | clean | GOOD | no metal |
      OIL | glitter | WORN | something sheds: bearing if it does not stick to a magnet | cut the filter open
      OIL | flakes | BAD | lobe, lifter or bearing coming apart | do not run; find it
      FILTER | clean | GOOD | nothing in the pleats |
      FILTER | few specks | WORN | compare with last time | cut the next one too
      FILTER | magnetic flakes | BAD | steel: a lobe, wheel or needle | lifters out, lobe survey
      BEARING | none | GOOD | only what sticks to the magnet, or nothing |
      BEARING | grey paste | WORN | bearing overlay going | look at the oil pressure's history
      BEARING | flakes | BAD | bearing metal | engine out
      OIL_USE | usual | GOOD | seals and guides hold |
      OIL_USE | more | WORN | seals, guides or rings | look at plugs and seals
      """;

  /**
   * Where the next, worse grade of a figure begins: first to second, second to third. Common
   * practice, no source.
   */
  private static final Map<Look, List<DoublePredicate>> BOUNDS =
      Map.of(
          Look.GUIDE_GAP, List.of(f -> Figures.below(f, 5), f -> Figures.below(f, 1)),
          Look.SPRING_HEIGHT, List.of(f -> Figures.above(f, 5), f -> Figures.above(f, 15)),
          Look.LOBE_LIFT, List.of(f -> Figures.above(f, 5), f -> Figures.atLeast(f, 40)),
          Look.LEAK_DOWN_TIME, List.of(f -> Figures.below(f, 20), f -> Figures.below(f, 10)),
          Look.SEAT_LEAK, List.of(f -> Figures.above(f, 10), f -> Figures.above(f, 20)));

  private static final Map<Look, List<Grade>> GRADES = read();

  private Grades() {}

  static List<Grade> of(Look look) {
    return GRADES.getOrDefault(look, List.of());
  }

  /** Which grade a figure has. */
  static int index(Look look, double figure) {
    return (int) Known.in(BOUNDS, look).stream().filter(b -> b.test(figure)).count();
  }

  private static Map<Look, List<Grade>> read() {
    Map<Look, List<Grade>> result = new EnumMap<>(Look.class);
    TABLE
        .lines()
        .map(line -> line.split("\\|", -1))
        .forEach(
            c ->
                result
                    .computeIfAbsent(Look.valueOf(c[0].strip()), k -> new ArrayList<>())
                    .add(
                        new Grade(
                            c[1].strip(),
                            Level.valueOf(c[2].strip()),
                            c[3].strip(),
                            c[4].strip())));
    result.replaceAll((k, v) -> List.copyOf(v));
    return result;
  }
}
