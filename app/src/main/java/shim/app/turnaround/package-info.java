/** The time until the truck leaves: tasks, hands, parts ordered, and the plan people work to. */
@org.jspecify.annotations.NullMarked
package shim.app.turnaround;
