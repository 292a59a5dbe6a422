/**
 * What the lash is trying to say: every round, every valve and every hour at once.
 *
 * <p>A reading is an interval of leaves. In one round all valves share what the round did: a warm
 * engine, a heavy hand, a worn leaf, a gasket. That common part ({@link shim.core.drift.Common}) is
 * found first, robustly, by kind and bank, and taken off. What is left of each valve is followed by
 * a small filter ({@link shim.core.drift.Track}) whose surprises are independent of each other; on
 * them every begin of a drift, either way, and every single step is weighed against "it stays as it
 * is" ({@link shim.core.drift.Evidence}). Thou throughout, since that is what leaves are.
 *
 * <p>Formulas, assumptions and the benchmark: docs/lash-model.md.
 */
@org.jspecify.annotations.NullMarked
package shim.core.drift;
