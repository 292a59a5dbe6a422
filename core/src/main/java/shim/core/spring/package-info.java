/**
 * Valve springs at rest: data sheets, load against height, installed height and its shims, bind and
 * fit, weakest links, which spring goes into which pocket, and what a reading may be.
 *
 * <p>Lengths in inch, loads in lbf, rates in lbf/in. Heights are installed heights: the higher, the
 * less load.
 */
@org.jspecify.annotations.NullMarked
package shim.core.spring;
