/**
 * Walks: work that is done step by step at the car or on the bench, and must not go wrong.
 *
 * <p>A {@link shim.core.walk.Procedure} says what is done in which order, what each act makes of
 * its own state, and why an act must not be done now. A {@link shim.core.walk.Walk} is what has
 * been done so far. What every procedure has in common is here and nowhere else: steps that are
 * ticked and taken back, things counted out and in, holds and what hangs by them, figures read
 * against a limit, waiting and parking, signing, practice. Nothing here knows a clock or a spring:
 * every act brings its time.
 *
 * <p>Lengths in inch, loads in lbf, torque in lbf·ft, volumes in cc.
 */
@org.jspecify.annotations.NullMarked
package shim.core.walk;
