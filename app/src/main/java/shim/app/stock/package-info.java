/** Parts beside the engines: what lies where, what is wanted and on its way, what falls due. */
@org.jspecify.annotations.NullMarked
package shim.app.stock;
