package shim.core.cam;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import shim.core.unit.Figures;

/**
 * A cam being degreed: what is to be read, in order, and what the readings say so far. The wheel is
 * read in the running direction only; a reading overshot is taken again a turn later, never turned
 * back to.
 *
 * @param way how the lobes are found
 * @param heightsIn heights under the nose, inch, where they are found by them
 * @param pointerMoved the pointer was put right after the stop: later readings are true as they are
 * @param readings in the order they were taken; of several of one kind the last counts
 */
public record Degreeing(
    Way way, List<Double> heightsIn, boolean pointerMoved, List<Taken> readings) {
  /** How the lobes are found. */
  public enum Way {
    UNDER_NOSE,
    EVENTS
  }

  /**
   * One reading.
   *
   * @param heightIn under the nose, inch; zero where it is not read at one
   */
  public record Taken(CamMeasure what, double heightIn, double figure) {}

  /** One reading wanted, and what it was once taken. */
  public record Wanted(CamMeasure what, double heightIn, Optional<Double> figure) {}

  /** What the readings say so far. */
  public record Found(
      Optional<TrueTdc> tdc,
      Optional<Centreline> intake,
      Optional<Centreline> exhaust,
      Optional<Installed> installed) {}

  public Degreeing {
    heightsIn = heightsIn.stream().distinct().sorted().toList();
    readings = List.copyOf(readings);
    if (way == Way.UNDER_NOSE && (heightsIn.isEmpty() || heightsIn.size() > 4)) {
      throw new IllegalArgumentException("one to four heights under the nose are possible");
    }
    for (double h : heightsIn) {
      if (!(h >= 0.005 && h <= 0.3)) {
        throw new IllegalArgumentException("{" + h + " in} under the nose is no height to read at");
      }
    }
  }

  /** All that is to be read, in working order. */
  public List<Wanted> wanted() {
    List<Wanted> all = new ArrayList<>();
    all.add(wanted(CamMeasure.STOP_BEFORE, 0));
    all.add(wanted(CamMeasure.STOP_AFTER, 0));
    if (way == Way.EVENTS) {
      for (CamMeasure m : List.of(CamMeasure.EVO, CamMeasure.IVO, CamMeasure.EVC, CamMeasure.IVC)) {
        all.add(wanted(m, 0));
      }
      return all;
    }
    lobe(all, CamMeasure.INTAKE_UP, CamMeasure.INTAKE_DOWN);
    lobe(all, CamMeasure.EXHAUST_UP, CamMeasure.EXHAUST_DOWN);
    return all;
  }

  /** On the way up the lowest point of the flank is met first, on the way down last. */
  private void lobe(List<Wanted> all, CamMeasure up, CamMeasure down) {
    for (int i = heightsIn.size() - 1; i >= 0; i--) {
      all.add(wanted(up, heightsIn.get(i)));
    }
    for (double h : heightsIn) {
      all.add(wanted(down, h));
    }
  }

  private Wanted wanted(CamMeasure what, double heightIn) {
    return new Wanted(what, heightIn, figure(what, heightIn));
  }

  private Optional<Double> figure(CamMeasure what, double heightIn) {
    Optional<Double> last = Optional.empty();
    for (Taken t : readings) {
      if (t.what() == what && Figures.same(t.heightIn(), heightIn)) {
        last = Optional.of(t.figure());
      }
    }
    return last;
  }

  /**
   * @throws IllegalArgumentException where readings contradict each other, in words
   */
  public Found found() {
    Optional<TrueTdc> tdc =
        figure(CamMeasure.STOP_BEFORE, 0)
            .flatMap(b -> figure(CamMeasure.STOP_AFTER, 0).map(a -> new TrueTdc(b, a)));
    if (tdc.isEmpty()) {
      return new Found(tdc, Optional.empty(), Optional.empty(), Optional.empty());
    }
    double off = pointerMoved ? 0 : tdc.get().standsAtDeg();
    if (way == Way.EVENTS) {
      return new Found(tdc, Optional.empty(), Optional.empty(), events(off));
    }
    Optional<Centreline> intake = line(CamMeasure.INTAKE_UP, CamMeasure.INTAKE_DOWN, 1, off);
    Optional<Centreline> exhaust = line(CamMeasure.EXHAUST_UP, CamMeasure.EXHAUST_DOWN, -1, off);
    Optional<Installed> installed =
        intake.isEmpty() && exhaust.isEmpty()
            ? Optional.empty()
            : Optional.of(
                new Installed(intake.map(Centreline::atdcDeg), exhaust.map(c -> -c.atdcDeg())));
    return new Found(tdc, intake, exhaust, installed);
  }

  /**
   * @param after 1 where the wheel was read after TDC, −1 before it
   */
  private Optional<Centreline> line(CamMeasure up, CamMeasure down, int after, double offDeg) {
    List<Centreline.Pair> pairs = new ArrayList<>();
    for (double h : heightsIn) {
      Optional<Double> u = figure(up, h);
      Optional<Double> d = figure(down, h);
      if (u.isPresent() && d.isPresent()) {
        pairs.add(new Centreline.Pair(h, after * u.get() - offDeg, after * d.get() - offDeg));
      }
    }
    return pairs.isEmpty() ? Optional.empty() : Optional.of(new Centreline(pairs));
  }

  private Optional<Installed> events(double offDeg) {
    Optional<Double> ivo = figure(CamMeasure.IVO, 0);
    Optional<Double> ivc = figure(CamMeasure.IVC, 0);
    Optional<Double> evo = figure(CamMeasure.EVO, 0);
    Optional<Double> evc = figure(CamMeasure.EVC, 0);
    if (ivo.isEmpty() || ivc.isEmpty() || evo.isEmpty() || evc.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        Installed.ofEvents(
            ivo.get() + offDeg, ivc.get() - offDeg, evo.get() + offDeg, evc.get() - offDeg));
  }
}
