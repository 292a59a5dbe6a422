/** How long a plan takes, and how good it is beside a bare solver. */
@org.jspecify.annotations.NullMarked
package shim.bench.turnaround;
