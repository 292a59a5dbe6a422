/** Parts fitted in an engine, whatever their kind: put in, taken out, where and since when. */
@org.jspecify.annotations.NullMarked
package shim.app.fitted;
