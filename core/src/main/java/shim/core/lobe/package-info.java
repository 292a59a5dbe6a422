/**
 * A measured lobe: lift over crank degrees as a dial or a measuring machine gave it. {@link
 * shim.core.lobe.LiftTable} believes a table only with its base circle seen; {@link
 * shim.core.lobe.LobeCurve} answers lift, durations and events from it; {@link
 * shim.core.lobe.SmoothLobe} gives velocity and acceleration with a band, by penalised splines.
 * Angles count from the lobe's centre in crank degrees, opening side negative; lifts are inch.
 */
@NullMarked
package shim.core.lobe;

import org.jspecify.annotations.NullMarked;
