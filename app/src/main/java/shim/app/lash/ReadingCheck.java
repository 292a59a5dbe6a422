package shim.app.lash;

import java.time.Instant;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import shim.app.http.Refusal;
import shim.core.engine.Engine;
import shim.core.engine.PreloadSpec;
import shim.core.lash.Preload;
import shim.core.lash.WrittenRound.Phase;

/** Whether a reading can be one of this engine, in words at its box. */
final class ReadingCheck {
  private static final double SHORTEST_PUSHROD_IN = 2;
  private static final double LONGEST_PUSHROD_IN = 16;

  private ReadingCheck() {}

  /**
   * @param found what the valve was found with, before this
   */
  static void require(Engine engine, Rounds.ReadingEntry e, Optional<ReadingRow> found) {
    if (!engine.layout().positions().contains(e.valve())) {
      throw Refusal.invalid("valve", "this engine has no valve " + e.valve());
    }
    if (e.form() == Form.SAME) {
      if (e.phase() == Phase.FOUND || found.isEmpty()) {
        throw Refusal.invalid("form", "enter as found first: there is nothing to leave as found");
      }
      return;
    }
    requireForm(engine.drive().preload(), e.form());
    boolean fitted = e.form() == Form.LENGTH && e.phase() == Phase.LEFT && found.isPresent();
    if (e.figure() == null && !fitted) {
      throw Refusal.invalid("figure", "the reading is missing");
    }
    switch (e.form()) {
      case TURNS -> Preload.requireTurns(Objects.requireNonNull(e.figure()));
      case LENGTH -> length(e);
      default -> gap(engine, e);
    }
  }

  private static void requireForm(@Nullable PreloadSpec preload, Form form) {
    boolean turns = form == Form.TURNS;
    boolean length = form == Form.LENGTH;
    if (preload == null) {
      if (turns || length) {
        throw Refusal.invalid(
            "form", "a solid lifter is read as a gap, not in " + (turns ? "turns" : "lengths"));
      }
    } else if (preload.unit() == PreloadSpec.Unit.TURNS ? !turns : !length) {
      throw Refusal.invalid(
          "form",
          preload.unit() == PreloadSpec.Unit.TURNS
              ? "a hydraulic valve is read in turns back to zero lash"
              : "nothing turns here: a hydraulic valve is read as the pushrod's length at zero"
                  + " lash");
    }
  }

  private static void length(Rounds.ReadingEntry e) {
    Refusal.outside(
        "figure",
        e.figure(),
        SHORTEST_PUSHROD_IN,
        LONGEST_PUSHROD_IN,
        "a pushrod's length at zero lash lies between {2 in} and {16 in}");
    if (e.phase() == Phase.LEFT && e.partSizeIn() == null) {
      throw Refusal.invalid("partSizeIn", "say which size went in at " + e.valve());
    }
  }

  private static void gap(Engine engine, Rounds.ReadingEntry e) {
    ReadingRow probe = new ReadingRow(UUID.randomUUID(), UUID.randomUUID());
    probe.write(e, Instant.EPOCH);
    probe.reading(engine.rules().feelerStepIn());
  }
}
