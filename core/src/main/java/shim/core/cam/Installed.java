package shim.core.cam;

import java.util.Optional;
import shim.core.crank.CamTiming;
import shim.core.engine.CamCard;
import shim.core.engine.ValveKind;
import shim.core.unit.Figures;

/**
 * Where a cam was found to stand, and by how much that is late or early of its card.
 *
 * @param iclDeg intake centre after gas-exchange TDC, crank degrees; empty where it was not read
 * @param eclDeg exhaust centre before it
 */
public record Installed(Optional<Double> iclDeg, Optional<Double> eclDeg) {
  /** Within this it is usually left alone, crank degrees. Common practice, no source. */
  public static final double LEFT_ALONE_DEG = 2;

  /** What is to be done. */
  public enum Verdict {
    LEAVE,
    MOVE,
    /** The two lobes say different things by more than the reading can. */
    LOBES_DIFFER
  }

  public Installed {
    iclDeg.ifPresent(d -> requireCentre(d, "intake"));
    eclDeg.ifPresent(d -> requireCentre(d, "exhaust"));
    if (iclDeg.isEmpty() && eclDeg.isEmpty()) {
      throw new IllegalArgumentException("neither lobe's centre was read");
    }
  }

  private static void requireCentre(double deg, String which) {
    if (!(deg >= 60 && deg <= 160)) {
      throw new IllegalArgumentException(
          "an " + which + " centre at " + deg + "° cannot be: 60° to 160° is possible");
    }
  }

  /**
   * By the four events read at a lift of the card, as a card writes them.
   *
   * @param ivoBtdcDeg intake opens before TDC, and so on; negative on the other side
   */
  public static Installed ofEvents(
      double ivoBtdcDeg, double ivcAbdcDeg, double evoBbdcDeg, double evcAtdcDeg) {
    return new Installed(
        Optional.of((ivcAbdcDeg + 180 - ivoBtdcDeg) / 2),
        Optional.of((evoBbdcDeg + 180 - evcAtdcDeg) / 2));
  }

  /** Lobe separation, crank degrees. */
  public Optional<Double> lsaDeg() {
    return iclDeg.flatMap(i -> eclDeg.map(e -> (i + e) / 2));
  }

  /** How far it is put in ahead of straight up: LSA − ICL, crank degrees. */
  public Optional<Double> advanceDeg() {
    return lsaDeg().flatMap(l -> iclDeg.map(i -> l - i));
  }

  /** How late a lobe stands against the card, crank degrees; early is negative. */
  public Optional<Double> lateDeg(CamCard card, ValveKind kind) {
    return kind == ValveKind.INTAKE
        ? iclDeg.map(i -> i - card.intake().centreDeg())
        : eclDeg.map(e -> card.exhaust().centreDeg() - e);
  }

  /** How late the cam stands: the mean of the lobes read, crank degrees. */
  public double lateDeg(CamCard card) {
    double sum = 0;
    int n = 0;
    for (ValveKind kind : ValveKind.values()) {
      Optional<Double> late = lateDeg(card, kind);
      sum += late.orElse(0.0);
      n += late.isPresent() ? 1 : 0;
    }
    return sum / n;
  }

  public Verdict verdict(CamCard card) {
    Optional<Double> in = lateDeg(card, ValveKind.INTAKE);
    Optional<Double> ex = lateDeg(card, ValveKind.EXHAUST);
    if (in.isPresent()
        && ex.isPresent()
        && Figures.above(Math.abs(in.get() - ex.get()), LEFT_ALONE_DEG)) {
      return Verdict.LOBES_DIFFER;
    }
    return Figures.atMost(Math.abs(lateDeg(card)), LEFT_ALONE_DEG) ? Verdict.LEAVE : Verdict.MOVE;
  }

  /** The cam turned on by so much, crank degrees; back where negative. */
  public Installed advanced(double deg) {
    return new Installed(iclDeg.map(i -> i - deg), eclDeg.map(e -> e + deg));
  }

  /** The events of a card put in as found; a lobe that was not read stands where its mate says. */
  public CamTiming timing(CamCard card) {
    double late = lateDeg(card);
    CamCard.Lobe in = card.intake();
    CamCard.Lobe ex = card.exhaust();
    return CamTiming.of(
        new CamCard(
            at(in, iclDeg.orElse(in.centreDeg() + late)),
            at(ex, eclDeg.orElse(ex.centreDeg() - late))));
  }

  private static CamCard.Lobe at(CamCard.Lobe lobe, double centreDeg) {
    return new CamCard.Lobe(
        lobe.kind(), lobe.lobeLiftIn(), lobe.durations(), centreDeg, lobe.measured());
  }
}
