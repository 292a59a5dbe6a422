/** Events and engine hours. */
@org.jspecify.annotations.NullMarked
package shim.app.running;
