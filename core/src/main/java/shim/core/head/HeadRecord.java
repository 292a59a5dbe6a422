package shim.core.head;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Layout;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.spring.Kit;
import shim.core.spring.SpringChoice;
import shim.core.unit.Figures;

/**
 * All that was measured on a bare head.
 *
 * @param readings in the order they were taken
 */
public record HeadRecord(Layout layout, List<HeadReading> readings) {
  /** Pockets further from round than this are asked about. Common practice, no source. */
  private static final double OVAL_IN = 0.004;

  /** One figure. */
  public record HeadReading(HeadMeasure what, HeadPlace place, double figure) {}

  /**
   * What one place shows.
   *
   * @param figure the one that counts
   * @param readings all of them, in their order
   * @param apart widest less narrowest is more than a pocket should show: measure once more
   */
  public record Shows(
      HeadMeasure what, HeadPlace place, double figure, List<Double> readings, boolean apart) {
    public Shows {
      readings = List.copyOf(readings);
    }
  }

  public HeadRecord {
    readings = List.copyOf(readings);
  }

  /** Why a figure cannot be kept: nothing on this head, or no figure for it. */
  public static Optional<HeadFault> fault(Layout layout, HeadReading r) {
    if (!HeadPlace.all(layout, r.what().at()).contains(r.place())) {
      return Optional.of(HeadFault.NO_SUCH_PLACE);
    }
    boolean can =
        r.figure() >= r.what().possible().possibleLow()
            && r.figure() <= r.what().possible().possibleHigh();
    return can ? Optional.empty() : Optional.of(HeadFault.IMPOSSIBLE);
  }

  /** Why a reading is refused. */
  public enum HeadFault {
    NO_SUCH_PLACE,
    IMPOSSIBLE
  }

  private List<Double> taken(HeadMeasure what, HeadPlace place) {
    return readings.stream()
        .filter(r -> r.what() == what && r.place().equals(place))
        .map(HeadReading::figure)
        .toList();
  }

  /** The figure that counts; empty where nothing was read. */
  public OptionalDouble figure(HeadMeasure what, HeadPlace place) {
    return what.counts(taken(what, place));
  }

  public OptionalDouble figure(HeadMeasure what, Position valve) {
    return figure(what, HeadPlace.of(valve));
  }

  /** Everything that was measured, place by place. */
  public List<Shows> shows() {
    List<Shows> all = new ArrayList<>();
    for (HeadMeasure what : HeadMeasure.values()) {
      for (HeadPlace place : HeadPlace.all(layout, what.at())) {
        List<Double> taken = taken(what, place);
        what.counts(taken)
            .ifPresent(f -> all.add(new Shows(what, place, f, taken, apart(what, taken))));
      }
    }
    return all;
  }

  private static boolean apart(HeadMeasure what, List<Double> taken) {
    double least = taken.stream().mapToDouble(v -> v).min().orElse(0);
    double most = taken.stream().mapToDouble(v -> v).max().orElse(0);
    return what == HeadMeasure.POCKET && Figures.above(most - least, OVAL_IN);
  }

  /** Places where something was not read as often as it should be. */
  public List<HeadPlace> missing(HeadMeasure what) {
    return HeadPlace.all(layout, what.at()).stream()
        .filter(p -> taken(what, p).size() < what.readings())
        .toList();
  }

  /** Valves whose height is known, as springs are chosen for them. */
  public List<SpringChoice.Bare> bare(Map<ValveKind, Kit.Groove> grooves) {
    List<SpringChoice.Bare> all = new ArrayList<>();
    for (Position p : layout.positions()) {
      OptionalDouble height = figure(HeadMeasure.HEIGHT, p);
      if (height.isPresent()) {
        all.add(
            new SpringChoice.Bare(
                p,
                height.getAsDouble(),
                orNull(figure(HeadMeasure.POCKET, p)),
                orNull(figure(HeadMeasure.SEAL_GAP, p)),
                new Kit.Stem(orNull(figure(HeadMeasure.STEM, p)), grooves.get(p.kind()))));
      }
    }
    return all;
  }

  private static @Nullable Double orNull(OptionalDouble d) {
    return d.isPresent() ? d.getAsDouble() : null;
  }
}
