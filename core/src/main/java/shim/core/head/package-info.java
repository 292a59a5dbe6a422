/**
 * Heads by themselves: what is measured on a bare one, how it is assembled at the bench, and how it
 * goes onto an engine. Assembly and heads-on are procedures on {@link shim.core.walk}.
 *
 * <p>A head here is all heads of one engine, usually a pair: its valves carry the names they have
 * on the engine it is made for. Lengths in inch, loads in lbf, torque in lbf·ft, volumes in cc.
 */
@org.jspecify.annotations.NullMarked
package shim.core.head;
