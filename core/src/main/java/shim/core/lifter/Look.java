package shim.core.lifter;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Something to look at, with the grades it may be given. A look with a figure is graded by its
 * bounds; all bounds are common practice, no source.
 */
public enum Look {
  JAM_NUT("jam nut", Where.VALVE, 1, "try it with the wrench, tightening"),
  WITNESS("coil witness marks", Where.VALVE, 1, "light along the coils"),
  RETAINER("retainer", Where.VALVE, 1, "edge and underside, a light and a pick"),
  LOCKS("locks", Where.VALVE, 1, "gap between the halves, how deep they sit"),
  TICK_COLD("tick, cold", Where.VALVE, 2, "a rod to the ear, first minute"),
  TICK_HOT("tick, hot", Where.VALVE, 2, "a rod to the ear, warmed through"),
  STEM_TIP("stem tip", Where.VALVE, 2, "where the rocker has run on it"),
  GUIDE_GAP("guide plate gap", Where.VALVE, 2, "feeler each side, the smaller; thou", "thou"),
  PUSHROD_RUB("pushrod at its guide plate", Where.VALVE, 2, "a finger up and down the rod"),
  ROCKER("rocker", Where.VALVE, 3, "tip and trunnion; rock it by hand"),
  ROCKER_UNDERSIDE("rocker underside", Where.VALVE, 3, "rocker off: marks where the pushrod sits"),
  PUSHROD("pushrod", Where.VALVE, 3, "roll it on glass, look at both tips"),
  GUIDE_PLAY("valve in its guide", Where.VALVE, 3, "rock the valve an inch off its seat"),
  SPRING_HEIGHT(
      "installed height", Where.VALVE, 3, "against the height on record; grown, thou", "thou"),
  LOBE_LIFT("lift at the valve", Where.VALVE, 5, "dial at zero lash, bar to full lift", "thou"),
  LEAK_DOWN_TIME("leak-down time", Where.VALVE, 8, "in the tester, under its load; s", "s"),
  PLUNGER("plunger", Where.VALVE, 4, "press it down, let it come"),
  WHEEL("wheel", Where.VALVE, 10, "lifter out: turn it under a light"),
  AXLE_PLAY("play in the axle", Where.VALVE, 10, "lifter out: wheel up and down"),
  BODY("lifter body", Where.VALVE, 10, "lifter out: scuffs on the bore side"),
  SEAT_LEAK("leak-down", Where.CYLINDER, 6, "at TDC, where does it hiss; %", "%"),
  SEAT_FLUID("fluid test", Where.CYLINDER, 8, "fluid in the port, heads off or manifold off"),
  OIL("drained oil", Where.ENGINE, 4, "through a white rag in the sun"),
  FILTER("oil filter", Where.ENGINE, 8, "cut open, pleats wrung out, a magnet"),
  BEARING("bearing debris", Where.ENGINE, 8, "what the magnet leaves"),
  OIL_USE("oil used", Where.ENGINE, 1, "against the usual");

  /** What a finding belongs to. */
  public enum Where {
    VALVE,
    CYLINDER,
    ENGINE
  }

  private final String title;
  private final Where where;
  private final int minutes;
  private final String how;
  private final String unit;

  Look(String title, Where where, int minutes, String how) {
    this(title, where, minutes, how, "");
  }

  Look(String title, Where where, int minutes, String how, String unit) {
    this.title = title;
    this.where = where;
    this.minutes = minutes;
    this.how = how;
    this.unit = unit;
  }

  /** A finding in full: what was looked at, what was seen, what it means and what to do. */
  public String saying(Grade grade) {
    return title + " " + grade.word() + ": " + grade.means() + "; " + grade.todo();
  }

  public String title() {
    return title;
  }

  public Where where() {
    return where;
  }

  /** Usual minutes with the covers off: the cheapest look comes first. */
  public int minutes() {
    return minutes;
  }

  public String how() {
    return how;
  }

  /** Unit of the figure; empty where a look has words only. */
  public String unit() {
    return unit;
  }

  public boolean takesFigure() {
    return !unit.isEmpty();
  }

  /** True for looks at the lifter and its lobe: they decide whether the lifter may run. */
  public boolean ofTheLifter() {
    return switch (this) {
      case WHEEL, AXLE_PLAY, BODY, PLUNGER, LEAK_DOWN_TIME, LOBE_LIFT -> true;
      default -> false;
    };
  }

  public List<Grade> grades() {
    return Grades.of(this);
  }

  public Optional<Grade> grade(String word) {
    return grades().stream()
        .filter(
            g -> g.word().toLowerCase(Locale.ROOT).equals(word.strip().toLowerCase(Locale.ROOT)))
        .findFirst();
  }

  /** The grade of a figure in this look's unit; empty for looks without figures and for NaN. */
  public Optional<Grade> grade(double figure) {
    if (!takesFigure() || !Double.isFinite(figure)) {
      return Optional.empty();
    }
    List<Grade> g = grades();
    return Optional.of(g.get(Grades.index(this, figure)));
  }
}
