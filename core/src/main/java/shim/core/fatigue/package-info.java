/**
 * The spring fatigue model. Each reading of a set is the product of what the spring still gives and
 * what the tester did that day; the set itself tells them apart. The model, in logarithms of load:
 *
 * <pre>
 * y = B + b − (a + α) L(t) − w t − V(t) + γ + ε         L(t) = ln(1 + t / 0.5 h)
 * </pre>
 *
 * B and b are the box and the spring, a and α settling of the set and of the spring, w the set's
 * wear per hour, V the spring's own path (an integrated random walk), γ the tester and set-up of
 * that day, ε the reading. Everything is Gaussian but for one choice a spring: it stays with its
 * set, or goes its own way slowly or fast; each is solved and weighed.
 *
 * <p>Given what the set shares (a, w, B and one γ a test) the springs are independent. Each
 * spring's block is whitened by a small filter ({@link shim.core.fatigue.Block}) and adds its share
 * to one small system ({@link shim.core.fatigue.SetRun}); weighing another kind of path changes one
 * share.
 *
 * <p>Formulas and assumptions in full: docs/spring-model.md.
 */
@org.jspecify.annotations.NullMarked
package shim.core.fatigue;
