package hightally.core.preflight;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.DemoModels;
import hightally.core.Rigs;
import hightally.core.airframe.Surface;
import hightally.core.channel.InputKind;
import hightally.core.channel.TransmitterInput;
import hightally.core.plain.PlainModel;
import hightally.core.plain.RandomPrograms;
import hightally.core.quantity.Control;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Way;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import hightally.core.trimming.Purpose;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/** What the steps of a check show, against what the plain model does: surface, way, millimetres. */
class CheckShownTest {
  private static final double SEEN_MM = 0.5;

  /** The plain way finds a rod's lock by halving. */
  private static final double EXACT = 1e-3;

  /** A surface, where it goes and how far, as a line tells it. */
  private record Line(String surface, Way way, String end, double mm) {}

  @Property(tries = 40)
  void everyDirectionIsWhatTheModelDoes(@ForAll long seed, @ForAll @IntRange(max = 1) int kind) {
    checked(kind == 0 ? RandomPrograms.of(seed) : Rigs.programmed(seed));
  }

  @Example
  void soItIsWithEveryModelThatShips() {
    DemoModels.all().forEach(CheckShownTest::checked);
  }

  private static void checked(Setup setup) {
    Map<String, List<Line>> due = due(setup);
    for (CheckKind kind : List.of(CheckKind.FLIGHT, CheckKind.FULL)) {
      Map<String, List<Said>> shown = new LinkedHashMap<>();
      for (CheckStep step : CheckSteps.of(kind, setup, Purpose.NONE, "")) {
        if (step.id().startsWith("move-")) {
          assertThat(shown.put(step.id(), step.lines())).as("once: " + step.id()).isNull();
          assertThat(step.lasting()).isTrue();
        }
      }
      due.forEach(
          (id, lines) -> {
            assertThat(shown).as(setup.name()).containsKey(id);
            same(id, lines, shown.get(id));
          });
      assertThat(due.keySet()).containsAll(near(setup, shown));
    }
  }

  /** Those that are shown; one whose lines are within rounding of the base phase may be left. */
  private static List<String> near(Setup setup, Map<String, List<Said>> shown) {
    String base = "move-" + setup.phases().get(setup.phases().size() - 1).id() + "-";
    return shown.keySet().stream().filter(id -> id.startsWith(base)).toList();
  }

  private static void same(String id, List<Line> lines, List<Said> shown) {
    assertThat(shown).as(id).hasSameSizeAs(lines);
    for (int i = 0; i < lines.size(); i++) {
      Map<String, Object> told = shown.get(i).with();
      assertThat(told).as(id).containsEntry("surface", lines.get(i).surface());
      Way way = lines.get(i).way();
      String end = lines.get(i).end();
      assertThat(told).as(id).containsEntry("way", end.isEmpty() ? way : Said.of(end, "way", way));
      double mm = ((Quantity) told.get("mm")).value();
      assertThat(Math.abs(mm - lines.get(i).mm())).as(id).isLessThan(EXACT);
    }
  }

  /**
   * What must be shown: every stick to its plus end, every lever but the throttle's to its far end,
   * in the phase that is on when no other is; in another phase where a figure differs by more than
   * a millimetre.
   */
  private static Map<String, List<Line>> due(Setup setup) {
    SignalPath path = SignalPath.of(setup);
    PlainModel plain = new PlainModel(setup);
    Map<String, List<Line>> due = new LinkedHashMap<>();
    int base = setup.phases().size() - 1;
    for (int phase = base; phase >= 0; phase--) {
      Moment rest = path.rest(phase).withTrims(setup.trims());
      Moment restOfBase = path.rest(base).withTrims(setup.trims());
      String at = "move-" + setup.phases().get(phase).id() + "-";
      for (Control control : Control.values()) {
        List<Line> lines = lines(plain, setup, phase, rest, rest.with(control, 1));
        List<Line> there = lines(plain, setup, base, restOfBase, restOfBase.with(control, 1));
        if (!lines.isEmpty() && (phase == base || differ(lines, there))) {
          due.put(at + control.word(), lines);
        }
      }
      for (int i = 0; i < setup.transmitter().inputs().size(); i++) {
        TransmitterInput input = setup.transmitter().inputs().get(i);
        if (input.kind() == InputKind.LEVER && !input.id().equals(setup.power().throttleInput())) {
          List<Line> lines = lines(plain, setup, phase, rest, rest.withInput(i, 1));
          List<Line> there = lines(plain, setup, base, restOfBase, restOfBase.withInput(i, 1));
          if (!lines.isEmpty() && (phase == base || differ(lines, there))) {
            due.put(at + input.id(), lines);
          }
        }
      }
    }
    return due;
  }

  private static List<Line> lines(
      PlainModel plain, Setup setup, int phase, Moment from, Moment to) {
    List<Line> lines = new ArrayList<>();
    for (Surface surface : setup.surfaces()) {
      double mm = plain.travel(surface, to, phase) - plain.travel(surface, from, phase);
      if (Math.abs(mm) >= SEEN_MM) {
        lines.add(new Line(surface.name(), way(surface, mm > 0), end(surface), Math.abs(mm)));
      }
    }
    return lines;
  }

  /** A wheel is told by the end that goes there. */
  private static String end(Surface surface) {
    return switch (surface.role()) {
      case NOSE_WHEEL -> "way.front";
      case TAIL_WHEEL -> "way.rear";
      default -> "";
    };
  }

  private static Way way(Surface surface, boolean plus) {
    if (surface.role() == hightally.core.airframe.SurfaceRole.SWINGING_WING) {
      return plus ? Way.AFT : Way.FORWARD;
    }
    return surface.sideways() ? plus ? Way.RIGHT : Way.LEFT : plus ? Way.UP : Way.DOWN;
  }

  private static boolean differ(List<Line> lines, List<Line> there) {
    if (lines.size() != there.size()) {
      return true;
    }
    for (int i = 0; i < lines.size(); i++) {
      boolean other = !lines.get(i).surface().equals(there.get(i).surface());
      boolean turned = lines.get(i).way() != there.get(i).way();
      if (other || turned || Math.abs(lines.get(i).mm() - there.get(i).mm()) > 1) {
        return true;
      }
    }
    return false;
  }
}
