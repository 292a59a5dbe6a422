/**
 * The job's rules and arithmetic: pure Java, no I/O, no clock, no interface code.
 *
 * <p>Units throughout: inch, lbf, degree of crank rotation, hour. Packages form a list without
 * circles: unit, stats, engine, crank, lash, season.
 */
@org.jspecify.annotations.NullMarked
package shim.core;
