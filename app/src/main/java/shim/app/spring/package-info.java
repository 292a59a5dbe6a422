/**
 * Springs: types, each spring by its mark, where it was fitted, and the engine's rules for them.
 */
@org.jspecify.annotations.NullMarked
package shim.app.spring;
