/** Whether an engine may go to its next event: what was measured and what that suggests. */
@org.jspecify.annotations.NullMarked
package shim.core.readiness;
