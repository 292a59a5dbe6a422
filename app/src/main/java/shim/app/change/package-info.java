/** Spring changes: plan, walk, what was found, and what stays open afterwards. */
@org.jspecify.annotations.NullMarked
package shim.app.change;
