package shim.app.lifter;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import shim.app.running.Runs.RunEntry;

/**
 * What a lifter has been through in all engines it was in.
 *
 * @param cycles valve cycles of the runs whose logger told; empty when none did
 */
record Exposure(int overRevs, @Nullable Double cycles) {
  /** Runs are known by their day: those of the day of fitting and of removal count. */
  static Exposure of(List<LifterFittingRow> lives, Function<UUID, List<RunEntry>> runsOf) {
    List<RunEntry> seen =
        lives.stream()
            .flatMap(f -> runsOf.apply(f.engineId).stream().filter(r -> within(r.date(), f)))
            .toList();
    double cycles = seen.stream().mapToDouble(r -> r.cycles() == null ? 0 : r.cycles()).sum();
    return new Exposure(
        seen.stream().mapToInt(RunEntry::overRevs).sum(), cycles > 0 ? cycles : null);
  }

  private static boolean within(LocalDate day, LifterFittingRow f) {
    return !day.isBefore(day(f.fittedAt))
        && (f.removedAt == null || !day.isAfter(day(f.removedAt)));
  }

  private static LocalDate day(Instant at) {
    return LocalDate.ofInstant(at, ZoneOffset.UTC);
  }
}
