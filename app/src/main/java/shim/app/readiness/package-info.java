/** Whether an engine may go to its next event: springs, lash, lifters and open work together. */
@org.jspecify.annotations.NullMarked
package shim.app.readiness;
