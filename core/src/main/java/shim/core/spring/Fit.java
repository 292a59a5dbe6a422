package shim.core.spring;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import shim.core.engine.CamCard;
import shim.core.engine.Engine;
import shim.core.engine.Lifter;
import shim.core.engine.ValveKind;
import shim.core.unit.Figures;
import shim.core.unit.Pressure;
import shim.core.unit.Said;

/**
 * A spring at one valve with one cam: loads, clearances, and what is not as it should be.
 *
 * @param openLbf at net lift: lash taken off
 * @param bindClearanceIn at gross lift: no lash taken off
 */
public record Fit(
    double heightIn,
    double seatLbf,
    double openLbf,
    double rateLbfPerIn,
    Optional<Double> bindClearanceIn,
    Optional<Double> sealClearanceIn,
    Optional<Double> pocketPlayIn,
    List<Remark> remarks) {

  /** How much a remark weighs. */
  public enum Weight {
    KNOW,
    ASK,
    STOP
  }

  /** Something about this fit. */
  public record Remark(Weight weight, Said said) {}

  /** What can be said of a fit. */
  public enum Code implements Said.Code {
    UNDER_BIND("heightIn", "bindIn"),
    NEAR_BIND("clearanceIn", "leastIn"),
    CLOSE_TO_BIND("clearanceIn", "leastIn"),
    FAR_FROM_BIND("clearanceIn"),
    MEETS_SEAL("clearanceIn"),
    CLOSE_TO_SEAL("clearanceIn"),
    WIDER_THAN_POCKET("byIn"),
    LITTLE_PLAY("playIn"),
    MUCH_PLAY("playIn"),
    WRONG_PLAY("playIn"),
    STATED_DIFFERS("clearanceIn", "statedIn"),
    SEAT_WITH_ROLLER("loadLbf", "lowLbf", "highLbf"),
    SEAT_WITH_FLAT("loadLbf", "lowLbf", "highLbf"),
    OPEN_WITH_ROLLER("loadLbf", "highLbf"),
    OPEN_WITH_FLAT("loadLbf", "highLbf"),
    OVER_ITS_LIFT("mostIn"),
    COILS_CLOSE("gapIn", "leastIn"),
    BOOST_TAKES("takesLbf", "leftLbf");

    private final Said.Form form;

    Code(String... figures) {
      form = Said.form("FIT", figures);
    }

    @Override
    public Said.Form form() {
      return form;
    }
  }

  /**
   * What was measured at a valve; inch, may be missing.
   *
   * @param heightIn installed height
   * @param sealGapIn retainer to seal, valve closed
   * @param pocketIn diameter of pocket or locator
   * @param odIn of this very spring; blank takes its sheet's
   * @param coilGapIn between the two lowest coils at full lift, by feeler
   * @param statedClearanceIn bind clearance someone states or measured
   */
  public record Measured(
      double heightIn,
      @Nullable Double sealGapIn,
      @Nullable Double pocketIn,
      @Nullable Double odIn,
      @Nullable Double coilGapIn,
      @Nullable Double statedClearanceIn) {}

  /**
   * What is asked of a spring at a valve.
   *
   * @param boostLbf what the pressure in the port takes off the closed valve's load; zero without
   *     boost
   */
  public record Asked(Lifter lifter, FitLimits limits, double boostLbf) {
    /** With the usual limits and without boost. */
    public static Asked usual(Lifter lifter) {
      return new Asked(lifter, FitLimits.USUAL, 0);
    }
  }

  /** Lift at the valve, inch. */
  public record Lift(double grossIn, double netIn) {
    /** At a kind of valve by the cam card; none without one. */
    public static Optional<Lift> of(Engine engine, ValveKind kind) {
      return engine
          .cam()
          .map(c -> kind == ValveKind.INTAKE ? c.intake() : c.exhaust())
          .map(CamCard.Lobe::lobeLiftIn)
          .map(l -> ofGross(engine, kind, l * engine.drive().ratio(kind)));
    }

    /** A lift at the valve, with this engine's lash taken off. */
    public static Lift ofGross(Engine engine, ValveKind kind, double grossIn) {
      return new Lift(grossIn, Math.max(0, grossIn - engine.lash().targetIn(kind)));
    }
  }

  /** More gives away surge damping of springs that rub on each other. Practice, no source. */
  private static final double BIND_LOOSE_IN = 0.150;

  public Fit {
    remarks = List.copyOf(remarks);
  }

  /** Seat and open loads a kind of lifter usually carries; common practice, no source, lbf. */
  public record Band(double seatLowLbf, double seatHighLbf, double openHighLbf) {
    public static Band of(Lifter lifter) {
      return switch (lifter) {
        case FLAT_SOLID, FLAT_HYDRAULIC, BUCKET -> new Band(80, 130, 300);
        case ROLLER_HYDRAULIC -> new Band(120, 170, 420);
        case ROLLER_SOLID -> new Band(180, 300, 850);
      };
    }
  }

  /** Looks at one valve. */
  public static Fit of(SpringType type, Measured at, Optional<Lift> lift, Asked asked) {
    double h = at.heightIn();
    FitLimits limits = asked.limits();
    List<Remark> remarks = new ArrayList<>();
    Optional<Double> bind = type.bindIn().flatMap(b -> lift.map(l -> h - l.grossIn() - b));
    Optional<Double> seal =
        Optional.ofNullable(at.sealGapIn()).flatMap(g -> lift.map(l -> g - l.grossIn()));
    Optional<Double> play =
        Optional.ofNullable(at.pocketIn())
            .flatMap(p -> Optional.ofNullable(at.odIn()).or(type::odIn).map(d -> p - d));
    double seat = type.curve().loadAt(h);
    double open = type.curve().loadAt(h - lift.map(Lift::netIn).orElse(0.0));
    type.bindIn().filter(b -> Figures.atMost(h, b)).ifPresent(b -> remarks.add(underBind(h, b)));
    bind.ifPresent(c -> bindRemark(c, limits, type.form().nested(), remarks));
    Optional.ofNullable(at.coilGapIn())
        .filter(g -> Figures.below(g, limits.coilGapIn()))
        .ifPresent(g -> remarks.add(say(Weight.ASK, Code.COILS_CLOSE, g, limits.coilGapIn())));
    seal.ifPresent(c -> sealRemark(c, limits.sealIn(), remarks));
    play.ifPresent(p -> playRemark(p, limits.play(), remarks));
    statedRemark(bind, at.statedClearanceIn(), remarks);
    double held = seat - asked.boostLbf();
    if (Figures.above(asked.boostLbf(), 0)) {
      remarks.add(say(Weight.KNOW, Code.BOOST_TAKES, asked.boostLbf(), held));
    }
    bandRemarks(seat, held, open, asked.lifter(), remarks);
    lift.flatMap(l -> type.maxLiftIn().filter(m -> Figures.above(l.grossIn(), m)))
        .ifPresent(m -> remarks.add(say(Weight.STOP, Code.OVER_ITS_LIFT, m)));
    return new Fit(h, seat, open, type.curve().rateAt(h), bind, seal, play, remarks);
  }

  /** What boost takes off the load of a closed intake valve, lbf. */
  public static double boostLbf(double boostPsi, double headIn) {
    return Pressure.onRoundLbf(boostPsi, headIn);
  }

  private static Remark underBind(double heightIn, double bindIn) {
    return say(Weight.STOP, Code.UNDER_BIND, heightIn, bindIn);
  }

  private static void bindRemark(double c, FitLimits limits, boolean nested, List<Remark> remarks) {
    if (Figures.below(c, limits.bindStopIn())) {
      remarks.add(say(Weight.STOP, Code.NEAR_BIND, c, limits.bindStopIn()));
    } else if (Figures.below(c, limits.bindIn())) {
      remarks.add(say(Weight.ASK, Code.CLOSE_TO_BIND, c, limits.bindIn()));
    } else if (nested && Figures.above(c, BIND_LOOSE_IN)) {
      remarks.add(say(Weight.KNOW, Code.FAR_FROM_BIND, c));
    }
  }

  private static void sealRemark(double c, double least, List<Remark> remarks) {
    if (Figures.atMost(c, 0)) {
      remarks.add(say(Weight.STOP, Code.MEETS_SEAL, c));
    } else if (Figures.below(c, least)) {
      remarks.add(say(Weight.ASK, Code.CLOSE_TO_SEAL, c));
    }
  }

  private static void playRemark(double p, PocketPlay.Bounds bounds, List<Remark> remarks) {
    switch (PocketPlay.of(p, bounds)) {
      case WIDER -> remarks.add(say(Weight.STOP, Code.WIDER_THAN_POCKET, -p));
      case SNUG -> remarks.add(say(Weight.ASK, Code.LITTLE_PLAY, p));
      case MUCH -> remarks.add(say(Weight.ASK, Code.MUCH_PLAY, p));
      case WRONG -> remarks.add(say(Weight.STOP, Code.WRONG_PLAY, p));
      case RIGHT -> {
        // Nothing to say.
      }
    }
  }

  private static void statedRemark(
      Optional<Double> bind, @Nullable Double stated, List<Remark> remarks) {
    if (stated != null && bind.isPresent() && Figures.above(Math.abs(stated - bind.get()), 0.010)) {
      remarks.add(say(Weight.ASK, Code.STATED_DIFFERS, bind.get(), stated));
    }
  }

  /** Too much by the spring's own load, too little by what boost leaves of it. */
  private static void bandRemarks(
      double seat, double held, double open, Lifter lifter, List<Remark> remarks) {
    boolean roller = lifter.roller();
    Band band = Band.of(lifter);
    if (Figures.below(held, band.seatLowLbf()) || Figures.above(seat, band.seatHighLbf())) {
      remarks.add(
          say(
              Weight.KNOW,
              roller ? Code.SEAT_WITH_ROLLER : Code.SEAT_WITH_FLAT,
              Figures.below(held, band.seatLowLbf()) ? held : seat,
              band.seatLowLbf(),
              band.seatHighLbf()));
    }
    if (Figures.above(open, band.openHighLbf())) {
      remarks.add(
          say(
              Weight.ASK,
              roller ? Code.OPEN_WITH_ROLLER : Code.OPEN_WITH_FLAT,
              open,
              band.openHighLbf()));
    }
  }

  private static Remark say(Weight weight, Code code, double... figures) {
    return new Remark(weight, Said.of(code, figures));
  }
}
