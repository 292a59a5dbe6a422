package shim.core.crank;

import shim.core.engine.CamCard;
import shim.core.engine.CamCard.Lobe;

/**
 * What follows from a cam card. A measured lobe gives its own events; a card's are taken as
 * symmetric, so for a duration D: IVO = D/2 - ICL before TDC, IVC = D/2 + ICL - 180 after BDC, EVO
 * = D/2 + ECL - 180 before BDC, EVC = D/2 - ECL after TDC. All crank degrees; a negative value lies
 * on the other side of its dead centre.
 *
 * @param tappetLiftIntakeIn lift at which the intake events are counted, inch
 * @param tappetLiftExhaustIn lift at which the exhaust events are counted, inch
 * @param overlapDeg both valves open around gas-exchange TDC: IVO + EVC
 */
public record CamTiming(
    double tappetLiftIntakeIn,
    double tappetLiftExhaustIn,
    double ivoBtdcDeg,
    double ivcAbdcDeg,
    double evoBbdcDeg,
    double evcAtdcDeg,
    double overlapDeg,
    double lsaDeg,
    double advanceDeg) {

  /** Events at the smallest tappet lift each lobe's card knows. */
  public static CamTiming of(CamCard card) {
    return of(card, card.intake().lowest(), card.exhaust().lowest());
  }

  /** Events for given durations of the two lobes. */
  public static CamTiming of(CamCard card, CamCard.Duration intake, CamCard.Duration exhaust) {
    Open in = Open.of(card.intake(), intake);
    Open ex = Open.of(card.exhaust(), exhaust);
    double ivo = -in.opensDeg() - card.intake().centreDeg();
    double ivc = in.closesDeg() + card.intake().centreDeg() - 180;
    double evo = -ex.opensDeg() + card.exhaust().centreDeg() - 180;
    double evc = ex.closesDeg() - card.exhaust().centreDeg();
    return new CamTiming(
        intake.tappetLiftIn(),
        exhaust.tappetLiftIn(),
        ivo,
        ivc,
        evo,
        evc,
        ivo + evc,
        card.lsaDeg(),
        card.advanceDeg());
  }

  /** Where a lobe passes the lift of a duration, crank degrees from its centre. */
  private record Open(double opensDeg, double closesDeg) {
    static Open of(Lobe lobe, CamCard.Duration at) {
      double half = at.durationDeg() / 2;
      return lobe.measured()
          .map(CamCard.Measured::curve)
          .map(c -> new Open(c.opensDeg(at.tappetLiftIn()), c.closesDeg(at.tappetLiftIn())))
          .orElseGet(() -> new Open(-half, half));
    }
  }
}
