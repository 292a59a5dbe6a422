/**
 * The cam and clearance bench: where the cam stands, what lash and another cam change, whether the
 * valves miss the pistons, which pushrods are right, and how little spring is enough. Angles are
 * degrees of crank rotation unless a name says otherwise; near gas-exchange TDC they count from it,
 * after TDC positive. All of it is advice from what was measured: nothing here says an engine is
 * safe.
 */
@NullMarked
package shim.core.cam;

import org.jspecify.annotations.NullMarked;
