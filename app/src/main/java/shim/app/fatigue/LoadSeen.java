package shim.app.fatigue;

import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A reading as the judgement needs it: read without being watched for changes, for there are many.
 */
record LoadSeen(
    UUID testId,
    UUID springId,
    @Nullable String valve,
    double heightIn,
    double loadLbf,
    SpringTests.Member member,
    boolean again) {}
