/** Walks of every kind as they are kept: acts, findings, photos, and how they are shown. */
@org.jspecify.annotations.NullMarked
package shim.app.walk;
