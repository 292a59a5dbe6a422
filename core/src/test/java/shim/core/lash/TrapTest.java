package shim.core.lash;

import static org.assertj.core.api.Assertions.assertThat;
import static shim.core.lash.Trap.BLEED_DOWN;
import static shim.core.lash.Trap.JAM_NUT;
import static shim.core.lash.Trap.LEAF_PUSHES;
import static shim.core.lash.Trap.NUT_SIDE;
import static shim.core.lash.Trap.READ_AFTER_LOCKING;
import static shim.core.lash.Trap.SET_SCREW_OFF;

import java.util.List;
import org.junit.jupiter.api.Test;
import shim.core.engine.Adjuster;
import shim.core.engine.Engine;
import shim.core.engine.Lifter;
import shim.core.engine.Rocker;
import shim.core.lash.WrittenRound.Phase;

class TrapTest {
  private static List<Trap> at(Lifter lifter, Rocker rocker, Adjuster adjuster, Phase phase) {
    return Trap.at(
        new Engine.Drive(
            lifter, rocker, 1.5, 1.5, adjuster, null, null, null, List.of(), null, null),
        phase);
  }

  @Test
  void whatIsSaidIsWhatCanHappenAtThisDrive() {
    assertThat(at(Lifter.FLAT_SOLID, Rocker.STUD, Adjuster.FULCRUM_NUT, Phase.FOUND))
        .containsExactly(LEAF_PUSHES, SET_SCREW_OFF);
    assertThat(at(Lifter.FLAT_SOLID, Rocker.STUD, Adjuster.FULCRUM_NUT, Phase.LEFT))
        .containsExactly(JAM_NUT, READ_AFTER_LOCKING, NUT_SIDE);
    assertThat(at(Lifter.ROLLER_SOLID, Rocker.SHAFT, Adjuster.SCREW_PUSHROD_END, Phase.FOUND))
        .containsExactly(LEAF_PUSHES);
    assertThat(at(Lifter.ROLLER_SOLID, Rocker.SHAFT, Adjuster.SCREW_PUSHROD_END, Phase.LEFT))
        .containsExactly(JAM_NUT, READ_AFTER_LOCKING);
    assertThat(at(Lifter.ROLLER_HYDRAULIC, Rocker.STUD, Adjuster.FULCRUM_NUT, Phase.FOUND))
        .containsExactly(BLEED_DOWN, SET_SCREW_OFF);
    assertThat(at(Lifter.ROLLER_HYDRAULIC, Rocker.PEDESTAL, Adjuster.PUSHROD_LENGTH, Phase.LEFT))
        .as("nothing turns")
        .isEmpty();
    assertThat(at(Lifter.BUCKET, Rocker.NONE, Adjuster.BUCKET_SHIM, Phase.FOUND))
        .as("no rocker is pushed")
        .isEmpty();
  }
}
