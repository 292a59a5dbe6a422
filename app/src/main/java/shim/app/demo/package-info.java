/** Invented sample data from the seeded season simulation. */
@org.jspecify.annotations.NullMarked
package shim.app.demo;
