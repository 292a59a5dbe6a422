/** Spring tests and what they say: verdicts, each spring's life, the tester's drift. */
@org.jspecify.annotations.NullMarked
package shim.app.fatigue;
