package shim.core.lash;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import shim.core.engine.Engine;
import shim.core.engine.HeatState;
import shim.core.engine.ValveKind;
import shim.core.unit.Said;

/**
 * What is wanted of an engine's valves in one temperature state, intake first.
 *
 * @param targets of lash; a kind of valve that has none is left out
 * @param none why one has none, each reason once
 * @param preloads of hydraulic lifters
 * @param gauges bounds of a lash as it is entered
 */
public record LashWanted(
    List<LashTarget> targets,
    List<Said> none,
    List<PreloadTarget> preloads,
    Map<ValveKind, EntryGauge> gauges) {
  public LashWanted {
    targets = List.copyOf(targets);
    none = List.copyOf(none);
    preloads = List.copyOf(preloads);
    gauges = Map.copyOf(gauges);
  }

  public static LashWanted of(Engine engine, HeatState state, Growth growth) {
    List<LashTarget.Answer> answers =
        Stream.of(ValveKind.values()).map(k -> LashTarget.of(engine, k, state, growth)).toList();
    return new LashWanted(
        answers.stream().flatMap(a -> a.wanted().stream()).toList(),
        answers.stream().flatMap(a -> a.why().stream()).distinct().toList(),
        PreloadTarget.both(engine.drive()),
        answers.stream()
            .flatMap(a -> a.wanted().stream())
            .collect(Collectors.toMap(LashTarget::kind, EntryGauge::of)));
  }
}
