package shim.core.crank;

import shim.core.engine.CamCard;
import shim.core.engine.CamCard.Lobe;

/**
 * What follows from a cam card. Lobes are taken as symmetric, so for a duration D: IVO = D/2 - ICL
 * before TDC, IVC = D/2 + ICL - 180 after BDC, EVO = D/2 + ECL - 180 before BDC, EVC = D/2 - ECL
 * after TDC. All crank degrees; a negative value lies on the other side of its dead centre.
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
    Lobe in = card.intake();
    Lobe ex = card.exhaust();
    double ivo = intake.durationDeg() / 2 - in.centreDeg();
    double ivc = intake.durationDeg() / 2 + in.centreDeg() - 180;
    double evo = exhaust.durationDeg() / 2 + ex.centreDeg() - 180;
    double evc = exhaust.durationDeg() / 2 - ex.centreDeg();
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
}
