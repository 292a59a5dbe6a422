/**
 * Replacing springs, with the engine in the car or the heads on the bench: how valves are held,
 * what air does to the crank, and the order of work. A procedure on {@link shim.core.walk}.
 *
 * <p>A {@link shim.core.change.JobPlan} says what is wanted; {@link shim.core.change.SpringChange}
 * turns it into steps and follows what is done; a {@link shim.core.change.Job} is how valves, crank
 * and rockers stand.
 *
 * <p>Lengths in inch, pressure in psi, torque in lbf·ft, angles in crank degrees after the first
 * cylinder's compression TDC.
 */
@org.jspecify.annotations.NullMarked
package shim.core.change;
