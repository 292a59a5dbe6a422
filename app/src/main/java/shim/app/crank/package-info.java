/** The setting order as stateless calls. */
@org.jspecify.annotations.NullMarked
package shim.app.crank;
