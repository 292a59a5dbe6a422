/**
 * Lifters, lobes and the rest of a valve's chain: what a technician sees ({@link
 * shim.core.lifter.Look}, {@link shim.core.lifter.Grade}), what it usually means ({@link
 * shim.core.lifter.Diagnosis} with its table of rules) and how a lifter stands before the next
 * event ({@link shim.core.lifter.LifterOutlook}). Grades and rules are common practice, no source;
 * limits are the team's.
 */
@org.jspecify.annotations.NullMarked
package shim.core.lifter;
