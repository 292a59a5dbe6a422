/** Lash over simulated seasons with a known truth, judged by Shim and by rules of paper. */
@org.jspecify.annotations.NullMarked
package shim.bench.lash;
