package shim.core.lifter;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * What each symptom and each finding says for or against each cause. Common practice, no source.
 * {@code ++} speaks strongly for, {@code +} for, {@code -} against, {@code --} strongly against,
 * {@code x} rules out.
 */
final class Rules {
  private static final String TABLE =
      """
      JAM_NUT | STEP_OPEN | ++ | a slipped nut is one step, then still
      JAM_NUT | STEP_TIGHT | ++ | a slipped nut is one step, then still
      JAM_NUT | OPENING | + | a nut can creep; the cheapest to rule out
      JAM_NUT | CLOSING | - | a nut that slips a little every round is rare
      JAM_NUT | NOISE | + | a loose nut lets it tick
      JAM_NUT | JAM_NUT=tight | x | it holds
      JAM_NUT | JAM_NUT=moved | ++ | found loose
      PUSHROD_TIPS | OPENING | + | both tips wear with the hours
      PUSHROD_TIPS | STEP_OPEN | - | tips do not wear in one event
      PUSHROD_TIPS | CLOSING | x | wear there opens lash
      PUSHROD_TIPS | STEP_TIGHT | x | wear there opens lash
      PUSHROD_TIPS | PUSHROD=straight | -- | tips round
      PUSHROD_TIPS | PUSHROD=tips worn | ++ | seen
      PUSHROD_TIPS | LOBE_LIFT=short | - | worn tips do not take lift
      PUSHROD_BENT | STEP_OPEN | + | a rod that bends shortens once
      PUSHROD_BENT | AFTER_OVER_REV | ++ | float bends rods
      PUSHROD_BENT | OPENING | -- | a bent rod does not go on bending
      PUSHROD_BENT | CLOSING | x | a bent rod opens lash
      PUSHROD_BENT | STEP_TIGHT | x | a bent rod opens lash
      PUSHROD_BENT | PUSHROD=bent | ++ | seen
      PUSHROD_BENT | PUSHROD=straight | x | it rolls true
      ROCKER | OPENING | + | tip and trunnion wear with the hours
      ROCKER | CLOSING | x | wear there opens lash
      ROCKER | STEP_TIGHT | x | wear there opens lash
      ROCKER | NOISE | + | a loose trunnion ticks
      ROCKER | ROCKER=good | -- | looked at and good
      ROCKER | ROCKER=tip worn | ++ | seen
      ROCKER | ROCKER=loose on its trunnion | ++ | seen
      ROCKER | STEM_TIP=mushroomed | + | both have been hammered
      LIFTER | OPENING | + | wheel and needles wear with the hours
      LIFTER | STEP_OPEN | + | needles can leave at once
      LIFTER | CLOSING | -- | wear there opens lash
      LIFTER | STEP_TIGHT | -- | wear there opens lash
      LIFTER | NOISE | + | a rough wheel is heard
      LIFTER | WHEEL=smooth | -- | wheel good
      LIFTER | WHEEL=rough | ++ | seen
      LIFTER | WHEEL=pitted | ++ | seen
      LIFTER | WHEEL=blue | ++ | ran dry
      LIFTER | AXLE_PLAY=none to feel | - | needles whole
      LIFTER | AXLE_PLAY=some | + | needles wearing
      LIFTER | AXLE_PLAY=much | ++ | needles going
      LIFTER | BODY=scuffed | ++ | seen
      LIFTER | BODY=clean | - | runs straight
      LIFTER | LOBE_LIFT=full | - | a worn wheel takes little lift
      LIFTER | FILTER=magnetic flakes | + | steel comes from wheel, needles or lobe
      LIFTER | BEARING=flakes | - | bearing metal explains the debris
      LIFTER | FILTER=clean | - | no steel in the filter
      PLUNGER | NOISE | ++ | a hydraulic lifter that ticks hot does not hold
      PLUNGER | NOISE_SOLID | x | a solid lifter has no plunger
      PLUNGER | OPENING | -- | a plunger hides wear
      PLUNGER | PLUNGER=firm | -- | holds oil
      PLUNGER | PLUNGER=soft | ++ | gives under the thumb
      PLUNGER | PLUNGER=stuck | ++ | seen
      PLUNGER | LEAK_DOWN_TIME=holds | -- | tested
      PLUNGER | LEAK_DOWN_TIME=quick | + | tested
      PLUNGER | LEAK_DOWN_TIME=drops | ++ | tested
      PLUNGER | TICK_HOT=quiet | - | took up its play
      LOBE | OPENING | ++ | a lobe going flat opens lash round after round
      LOBE | NOISE_FLAT | ++ | a flat tappet ticks while its lobe goes
      LOBE | ROCKER_UNDERSIDE=marked | ++ | the rocker has been dropping onto its pushrod
      LOBE | ROCKER_UNDERSIDE=clean | - | nothing has dropped onto the pushrod
      LOBE | CLOSING | x | it opens lash
      LOBE | STEP_OPEN | -- | a lobe does not go in one step and then stop
      LOBE | STEP_TIGHT | x | it opens lash
      LOBE | LOBE_LIFT=full | -- | the lift is there
      LOBE | LOBE_LIFT=short | ++ | lift missing
      LOBE | LOBE_LIFT=flat | ++ | lift gone
      LOBE | WHEEL=smooth | - | a lobe breaking up marks its wheel
      LOBE | WHEEL=pitted | + | wheel and lobe go together
      LOBE | FILTER=magnetic flakes | ++ | the steel comes from somewhere
      LOBE | FILTER=clean | - | no steel in the filter
      LOBE | BEARING=flakes | - | bearing metal explains the debris
      LOBE | OIL=glitter | - | what shines and does not stick is bearing
      LOBE | OIL=flakes | + | steel in the oil
      SEAT | CLOSING | ++ | seat sunk x: lash closes x
      SEAT | OPENING | x | a sinking seat closes lash
      SEAT | STEP_OPEN | x | a sinking seat closes lash
      SEAT | STEP_TIGHT | - | seats sink slowly
      SEAT | SEAT_LEAK=tight | - | it still seals
      SEAT | SEAT_LEAK=leaks | + | pitted or sunk
      SEAT | SEAT_LEAK=leaks badly | + | pitted or sunk
      SEAT | SEAT_FLUID=weeps | + | pitted
      SEAT | SPRING_HEIGHT=grown | ++ | the retainer stands higher by what the lash closed
      SEAT | SPRING_HEIGHT=grown much | + | the retainer stands higher
      SEAT | SPRING_HEIGHT=unchanged | -- | seat sunk x: height grows x
      SEAT | LOAD_LOW | + | seat sunk x: load falls rate times x
      VALVE_HEAD | CLOSING | + | a head pulling off its stem closes lash
      VALVE_HEAD | OPENING | -- | it closes lash
      VALVE_HEAD | AFTER_OVER_REV | + | valve met piston
      VALVE_HEAD | STEP_OPEN | + | a bent valve hangs open
      VALVE_HEAD | STEP_TIGHT | + | a head stretched once
      VALVE_HEAD | SEAT_LEAK=tight | -- | it seals
      VALVE_HEAD | SEAT_LEAK=leaks badly | ++ | bent or tuliped
      VALVE_HEAD | SEAT_FLUID=runs | ++ | bent or tuliped
      VALVE_HEAD | SPRING_HEIGHT=unchanged | -- | the stem stands where it stood
      GUIDE | CLOSING | + | a valve that dances beats its seat in
      GUIDE | OPENING | x | it closes lash
      GUIDE | STEP_OPEN | x | it closes lash slowly
      GUIDE | STEP_TIGHT | -- | it closes lash slowly
      GUIDE | GUIDE_PLAY=small | -- | seat and guide in line
      GUIDE | GUIDE_PLAY=worn | ++ | seen
      GUIDE | GUIDE_PLAY=loose | ++ | seen
      GUIDE | OIL_USE=more | + | oil goes down a worn guide
      GUIDE | OIL_USE=usual | - | no oil goes that way
      STUD | STEP_OPEN | + | a pulled stud opens lash once
      STUD | AFTER_OVER_REV | + | float pulls studs
      STUD | CLOSING | x | a pulled stud opens lash
      STUD | STEP_TIGHT | x | a pulled stud opens lash
      STUD | OPENING | - | it goes at once, not slowly
      STUD | JAM_NUT=moved | - | the nut explains it
      LOCKS | LOCKS=no gap | ++ | seen
      LOCKS | LOCKS=gap uneven | + | seen
      LOCKS | LOCKS=gap even | -- | both halves hold
      LOCKS | RETAINER=worn | + | they sink in where it wears
      LOCKS | RETAINER=clean | - | nothing has sunk in
      LOCKS | LOAD_LOW | + | they lengthen the spring
      LOCKS | SPRING_HEIGHT=grown | + | they lengthen the spring
      LOCKS | OPENING | x | locks sinking in do not move lash
      LOCKS | CLOSING | x | locks sinking in do not move lash
      LOCKS | STEP_OPEN | x | locks sinking in do not move lash
      LOCKS | STEP_TIGHT | x | locks sinking in do not move lash
      GEOMETRY | NOISE | + | a rubbing pushrod ticks
      GEOMETRY | OPENING | -- | geometry does not move lash by itself
      GEOMETRY | CLOSING | -- | geometry does not move lash by itself
      GEOMETRY | STEM_TIP=off centre | ++ | seen
      GEOMETRY | STEM_TIP=square | - | rocker square on the tip
      GEOMETRY | GUIDE_GAP=touching | ++ | seen
      GEOMETRY | GUIDE_GAP=tight | + | rubs when hot
      GEOMETRY | GUIDE_GAP=even | - | clear on both sides
      GEOMETRY | PUSHROD_RUB=grooved | ++ | seen
      GEOMETRY | PUSHROD_RUB=polished | + | seen
      GEOMETRY | PUSHROD_RUB=none | - | runs free
      SPRING | LOAD_LOW | ++ | the tester says so
      SPRING | OPENING | x | a spring does not move lash
      SPRING | CLOSING | x | a spring does not move lash
      SPRING | STEP_OPEN | x | a spring does not move lash
      SPRING | STEP_TIGHT | x | a spring does not move lash
      SPRING | WITNESS=bright | + | bind or float
      SPRING | SPRING_HEIGHT=unchanged | + | the height does not explain the load
      SPRING | SPRING_HEIGHT=grown | -- | the height explains the load
      READING | ALL_MOVED | ++ | what all valves do alike no valve does
      READING | OPENING | -- | it stands out from all others, round after round
      READING | CLOSING | -- | it stands out from all others, round after round
      READING | STEP_OPEN | - | one reading can slip; the next round tells
      READING | STEP_TIGHT | - | one reading can slip; the next round tells
      READING | NOISE | x | nobody read it, it was heard
      """;

  /** One row. A row speaks of a symptom, or of a look and its grade. */
  record Rule(
      Cause cause,
      Optional<Symptom> symptom,
      Optional<Look> look,
      String grade,
      double weight,
      String reason) {
    boolean isOf(Look l, String word) {
      return look.filter(x -> x == l).isPresent() && grade.equals(word);
    }
  }

  static final List<Rule> ALL = TABLE.lines().map(Rules::read).toList();

  private Rules() {}

  /** Some grade of a look says something of a cause. */
  static boolean speaks(Look look, Cause cause) {
    return ALL.stream()
        .anyMatch(r -> r.cause() == cause && r.look().filter(l -> l == look).isPresent());
  }

  private static Rule read(String line) {
    String[] c = Arrays.stream(line.split("\\|")).map(String::strip).toArray(String[]::new);
    String[] of = c[1].split("=", 2);
    boolean seen = of.length == 2;
    return new Rule(
        Cause.valueOf(c[0]),
        seen ? Optional.empty() : Optional.of(Symptom.valueOf(of[0])),
        seen ? Optional.of(Look.valueOf(of[0])) : Optional.empty(),
        seen ? of[1] : "",
        weight(c[2]),
        c[3]);
  }

  /** Natural log of how many times likelier it is with the cause than without. */
  private static double weight(String mark) {
    return switch (mark) {
      case "++" -> Math.log(8);
      case "+" -> Math.log(2.5);
      case "-" -> -Math.log(2.5);
      case "--" -> -Math.log(8);
      case "x" -> -Math.log(400);
      default -> throw new IllegalArgumentException("no such mark: " + mark);
    };
  }
}
