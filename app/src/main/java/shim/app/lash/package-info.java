/** Lash rounds: readings, looks, drift, sign-off and history. */
@org.jspecify.annotations.NullMarked
package shim.app.lash;
