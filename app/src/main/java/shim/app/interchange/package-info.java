/**
 * Files in and out: readings as CSV, an engine with everything as JSON. See docs/file-formats.md.
 */
@org.jspecify.annotations.NullMarked
package shim.app.interchange;
