package shim.core.lifter;

/**
 * One thing a look may find.
 *
 * @param word what a technician calls it
 * @param means what it usually means
 * @param todo what to do about it; empty when nothing
 */
public record Grade(String word, Level level, String means, String todo) {}
