/** What a team has settled for an engine: one store for the rules of every feature. */
@org.jspecify.annotations.NullMarked
package shim.app.rules;
