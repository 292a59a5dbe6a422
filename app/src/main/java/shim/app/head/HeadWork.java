package shim.app.head;

import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.walk.JobKind;
import shim.app.walk.Jobs;

/** Begins the walks that are done on heads. */
@Service
@Transactional
public class HeadWork {
  private final AssemblyPlanner assemblies;
  private final HeadsOnPlanner ons;
  private final Jobs jobs;

  HeadWork(AssemblyPlanner assemblies, HeadsOnPlanner ons, Jobs jobs) {
    this.assemblies = assemblies;
    this.ons = ons;
    this.jobs = jobs;
  }

  public void assemble(UUID jobId, UUID headId, String hand, AssemblyAsk ask) {
    jobs.start(
        jobId,
        new Jobs.Start(JobKind.ASSEMBLY, null, headId, 0, hand),
        () -> assemblies.plan(headId, ask));
  }

  void putOn(
      UUID jobId,
      UUID headId,
      UUID engineId,
      double engineHours,
      String hand,
      HeadsOnPlanner.HeadsOnAsk ask) {
    jobs.start(
        jobId,
        new Jobs.Start(JobKind.HEADS_ON, engineId, headId, engineHours, hand),
        () -> ons.plan(headId, engineId, ask));
  }
}
