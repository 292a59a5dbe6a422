package shim.core.spring;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Problem;
import shim.core.engine.Problems;

/** Reads a data sheet and says all that contradicts itself. */
public final class SpringCheck {
  /** Printed rates are rounded and springs scatter: more than this is asked about. */
  private static final double RATE_APART = 0.08;

  private final SpringSheet sheet;
  private final Problems problems = new Problems();

  private SpringCheck(SpringSheet sheet) {
    this.sheet = sheet;
  }

  /** What was read and what does not fit. */
  public record Checked(Optional<SpringType> type, List<Problem> problems) {}

  /** Reads a sheet. */
  public static Checked check(SpringSheet sheet) {
    SpringCheck c = new SpringCheck(sheet);
    Optional<SpringType> type = c.type();
    return new Checked(c.problems.refused() ? Optional.empty() : type, c.problems.all());
  }

  private Optional<SpringType> type() {
    if (sheet.name() == null || sheet.name().isBlank()) {
      problems.missing("name", "give the spring type a name");
    }
    Optional<LoadCurve> curve = curve();
    Optional<Double> bind =
        problems.optional("bindIn", sheet.bindIn(), "bind height", 0.3, 4, "in");
    Optional<Double> loss =
        problems.optional("lossPercent", sheet.lossPercent(), "loss limit", 1, 50, "%");
    Optional<Double> od = problems.optional("odIn", sheet.odIn(), "outside diameter", 0.3, 4, "in");
    Optional<Double> lift =
        problems.optional("maxLiftIn", sheet.maxLiftIn(), "lift", 0.05, 2, "in");
    Optional<Double> life =
        problems.optional("lifeHours", sheet.lifeHours(), "life", 0.1, 1e5, "h");
    Optional<Double> least =
        problems.optional("leastSeatLbf", sheet.leastSeatLbf(), "least seat load", 1, 2000, "lbf");
    Optional<Double> reference =
        problems.optional(
            "referenceHeightIn", sheet.referenceHeightIn(), "reference height", 0.5, 5, "in");
    if (curve.isEmpty()) {
      return Optional.empty();
    }
    double ref = reference.orElse(highest());
    bind.ifPresent(b -> bind(b, curve.get(), ref));
    least.ifPresent(l -> least(l, curve.get(), ref));
    rings(curve.get(), ref);
    return Optional.of(
        new SpringType(
            String.valueOf(sheet.name()).strip(),
            sheet.form() == null ? SpringSheet.Form.SINGLE : sheet.form(),
            curve.get(),
            ref,
            bind,
            od,
            lift,
            life,
            loss.orElse(10.0) / 100,
            least));
  }

  private double highest() {
    return points().stream().mapToDouble(LoadCurve.At::heightIn).max().orElse(0);
  }

  private List<LoadCurve.At> points() {
    List<LoadCurve.At> points = new ArrayList<>();
    if (sheet.loads() != null) {
      for (SpringSheet.LoadPoint p : sheet.loads()) {
        if (p.heightIn() != null && p.loadLbf() != null) {
          points.add(new LoadCurve.At(p.heightIn(), p.loadLbf()));
        }
      }
    }
    points.sort(Comparator.comparingDouble(LoadCurve.At::heightIn).reversed());
    return points;
  }

  private Optional<LoadCurve> curve() {
    ranges();
    Optional<Double> rate =
        problems.optional("rateLbfPerIn", sheet.rateLbfPerIn(), "rate", 20, 5000, "lbf/in");
    Optional<Double> free =
        problems.optional("freeLengthIn", sheet.freeLengthIn(), "free length", 0.5, 6, "in");
    List<LoadCurve.At> points = points();
    if (points.isEmpty() || points.size() < 2 && rate.isEmpty() && free.isEmpty()) {
      problems.missing("loads", "a load at its height is needed, and a second one or the rate");
      return Optional.empty();
    }
    if (problems.refused()) {
      return Optional.empty();
    }
    try {
      LoadCurve curve =
          points.size() > 1 ? new LoadCurve(points) : single(points.get(0), rate, free);
      contradictions(curve, rate.orElse(null), free.orElse(null));
      return Optional.of(curve);
    } catch (IllegalArgumentException e) {
      problems.refuse(
          "loads", "the loads do not grow as the height falls: is a height and a load swapped?");
      return Optional.empty();
    }
  }

  private void ranges() {
    if (sheet.loads() == null) {
      return;
    }
    for (int i = 0; i < sheet.loads().size(); i++) {
      SpringSheet.LoadPoint p = sheet.loads().get(i);
      String field = "loads[" + i + "]";
      if (p.heightIn() == null && p.loadLbf() == null) {
        continue;
      }
      Double height = p.heightIn();
      if (height != null && height > 12 && height < 130) {
        problems.refuse(
            field + ".heightIn",
            "a height of {%s in} cannot be; %s mm would be {%.3f in}: was it mm?",
            Problems.text(height),
            Problems.text(height),
            height / 25.4);
        continue;
      }
      problems.number(field + ".heightIn", height, "height", 0.5, 5, "in");
      problems.number(field + ".loadLbf", p.loadLbf(), "load", 1, 3000, "lbf");
    }
  }

  private static LoadCurve single(LoadCurve.At at, Optional<Double> rate, Optional<Double> free) {
    double k = rate.orElseGet(() -> at.loadLbf() / (free.orElseThrow() - at.heightIn()));
    return LoadCurve.straight(at.heightIn(), at.loadLbf(), k);
  }

  private void contradictions(LoadCurve curve, @Nullable Double rate, @Nullable Double free) {
    double own = curve.rateLbfPerIn();
    if (rate != null && Math.abs(rate / own - 1) > RATE_APART && !curve.progressive()) {
      problems.ask(
          "rateLbfPerIn",
          "the loads give {%.0f lbf/in}, the sheet says {%.0f lbf/in}: is one of the heights or loads wrong?",
          own,
          rate);
    }
    LoadCurve.At seat = curve.points().get(0);
    if (free != null && free <= seat.heightIn()) {
      problems.refuse(
          "freeLengthIn",
          "a free length of {%.3f in} is not above the height of {%.3f in}",
          free,
          seat.heightIn());
    } else if (free != null && !curve.progressive()) {
      double at = seat.loadLbf() - own * (free - seat.heightIn());
      if (Math.abs(at) > 0.25 * seat.loadLbf()) {
        problems.ask(
            "freeLengthIn",
            "by the loads it would be free at {%.3f in}, the sheet says {%.3f in}",
            seat.heightIn() + seat.loadLbf() / own,
            free);
      }
    }
  }

  private void bind(double bindIn, LoadCurve curve, double ref) {
    double lowest = curve.points().get(curve.points().size() - 1).heightIn();
    if (bindIn >= ref) {
      problems.refuse(
          "bindIn",
          "bind at {%.3f in} is not below the reference height of {%.3f in}",
          bindIn,
          ref);
    } else if (bindIn > lowest) {
      problems.ask(
          "bindIn",
          "a load is given at {%.3f in}, below bind at {%.3f in}: right?",
          lowest,
          bindIn);
    }
  }

  /** Rings of a nest by themselves: loads that grow, and no more than the whole shows. */
  private void rings(LoadCurve whole, double ref) {
    List<SpringSheet.Wire> rings = sheet.wires() == null ? List.of() : sheet.wires();
    for (int i = 0; i < rings.size(); i++) {
      SpringSheet.Wire ring = rings.get(i);
      String at = "wires[" + i + "].";
      if (ring.bindIn() != null && !(ring.bindIn() > 0 && ring.bindIn() < ref)) {
        problems.refuse(
            at + "bindIn",
            "bind at {%.3f in} is not below the reference height of {%.3f in}",
            ring.bindIn(),
            ref);
      }
      if (ring.stepIn() != null && !(ring.stepIn() >= 0 && ring.stepIn() <= 1)) {
        problems.refuse(at + "stepIn", "a ring stands lower by {0 in} to {1 in}");
      }
      ringLoads(at + "loads", ring, whole);
    }
  }

  private void ringLoads(String field, SpringSheet.Wire ring, LoadCurve whole) {
    try {
      Optional<LoadCurve> alone = Nest.curve(ring);
      alone.stream()
          .flatMap(c -> c.points().stream())
          .filter(p -> p.loadLbf() > whole.loadAt(p.heightIn()))
          .findFirst()
          .ifPresent(
              p ->
                  problems.refuse(
                      field,
                      "{%.0f lbf} alone is more than the {%.0f lbf} of the whole spring there",
                      p.loadLbf(),
                      whole.loadAt(p.heightIn())));
    } catch (IllegalArgumentException e) {
      problems.refuse(field, "the loads of this ring do not grow as the height falls");
    }
  }

  private void least(double leastLbf, LoadCurve curve, double ref) {
    if (leastLbf >= curve.loadAt(ref)) {
      problems.ask(
          "leastSeatLbf",
          "the least seat load of {%.0f lbf} is not below the {%.0f lbf} of a new spring",
          leastLbf,
          curve.loadAt(ref));
    }
  }
}
