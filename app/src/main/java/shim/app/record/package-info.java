/** Who changed what, when and why: the revision behind every change. */
@org.jspecify.annotations.NullMarked
package shim.app.record;
