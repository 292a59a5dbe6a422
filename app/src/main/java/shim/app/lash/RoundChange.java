package shim.app.lash;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What an entry changed in a round; all else in it stands as it stood.
 *
 * @param changes of the round with this entry; one more than a device knew when it missed nothing
 * @param crankDeg where the crank stands, degrees of the cycle
 * @param crankBy who said so
 * @param valves the valve the entry was for; all of them where that cannot be told any more
 */
record RoundChange(
    UUID id,
    long changes,
    @Nullable Double crankDeg,
    @Nullable String crankBy,
    List<RoundView.ValveView> valves) {}
