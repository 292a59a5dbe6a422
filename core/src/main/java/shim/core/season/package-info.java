/** A seeded simulation of racing seasons with a known truth, for the demo, tests and benchmarks. */
@org.jspecify.annotations.NullMarked
package shim.core.season;
