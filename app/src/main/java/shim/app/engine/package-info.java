/** Engines as written down: stored sheets, their check and what follows from them. */
@org.jspecify.annotations.NullMarked
package shim.app.engine;
