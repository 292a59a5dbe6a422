/**
 * Replacing springs, with the engine in the car or the heads on the bench: how valves are held,
 * what air does to the crank, the order of work, and a job as a state that refuses what would hurt.
 *
 * <p>A {@link shim.core.change.JobPlan} says what is wanted; {@link shim.core.change.Script} turns
 * it into steps; a {@link shim.core.change.Job} is what has been done so far and answers, for any
 * next act, why not. Nothing here knows a clock: every act brings its time.
 *
 * <p>Lengths in inch, pressure in psi, torque in lbf·ft, angles in crank degrees after the first
 * cylinder's compression TDC.
 */
@org.jspecify.annotations.NullMarked
package shim.core.change;
