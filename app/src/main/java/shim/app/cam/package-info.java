/**
 * The cam and clearance bench: degreeing, measured lobes, other cams, clearances, pushrods, float.
 */
@org.jspecify.annotations.NullMarked
package shim.app.cam;
