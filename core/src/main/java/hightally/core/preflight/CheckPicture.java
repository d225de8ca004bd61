package hightally.core.preflight;

import hightally.core.channel.InputKind;
import hightally.core.program.Phase;
import hightally.core.program.Power;
import hightally.core.quantity.Control;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.util.ArrayList;
import java.util.List;

/**
 * What a full check sees of a model: how every surface moves with every stick and lever in every
 * phase, and all that leads to a motor's stop. A check of a setup with another picture says nothing
 * of this one.
 */
public final class CheckPicture {
  /** Movements are the same where a ruler cannot tell them apart. */
  private static final double SAME_MM = 1;

  private static final double SAME_PART = 0.1;

  private final Setup setup;
  private final SignalPath path;

  private CheckPicture(Setup setup) {
    this.setup = setup;
    path = SignalPath.of(setup);
  }

  /** Whether a check of one setup would see the same of another. */
  public static boolean same(Setup then, Setup now) {
    if (then.equals(now)) {
      return true;
    }
    CheckPicture one = new CheckPicture(then);
    CheckPicture other = new CheckPicture(now);
    if (!one.facts().equals(other.facts())) {
      return false;
    }
    List<double[]> was = one.movements();
    List<double[]> is = other.movements();
    for (int i = 0; i < was.size(); i++) {
      for (int surface = 0; surface < was.get(i).length; surface++) {
        double before = was.get(i)[surface];
        double after = is.get(i)[surface];
        double leeway = Math.max(SAME_MM, SAME_PART * Math.abs(before));
        boolean turned = before * after < 0 && Math.abs(before - after) > SAME_MM;
        if (Math.abs(before - after) > leeway || turned) {
          return false;
        }
      }
    }
    return true;
  }

  /** What is moved by name, and what stops the motors. */
  private List<Object> facts() {
    Power power = setup.power();
    List<Object> facts = new ArrayList<>();
    setup.surfaces().forEach(one -> facts.add(one.id()));
    setup.phases().forEach(one -> facts.add(List.of(one.id(), one.when())));
    facts.add(setup.transmitter().inputs());
    facts.add(setup.conditions());
    if (!setup.airframe().motors().isEmpty()) {
      facts.add(
          List.of(
              power.throttleInput(),
              power.twoWay(),
              power.curves(),
              power.cutWhen(),
              power.cutPercent(),
              power.armWhen(),
              power.releaseWithStickBack(),
              power.failsafe(),
              power.stopMicroseconds()));
      setup
          .airframe()
          .motors()
          .forEach(
              one -> {
                facts.add(List.of(one.id(), one.channel(), one.reverserChannel()));
                setup.channel(one.channel()).ifPresent(facts::add);
                setup.wiring().lead(one.id()).ifPresent(lead -> facts.add(lead.reverser()));
              });
    }
    return facts;
  }

  private List<double[]> movements() {
    List<double[]> found = new ArrayList<>();
    for (int phase = 0; phase < setup.phases().size(); phase++) {
      Moment rest = path.rest(phase).withTrims(setup.trims());
      Phase one = setup.phases().get(phase);
      found.add(new double[] {one.fadeSeconds()});
      double[] still = path.evaluate(rest, phase).travelMm();
      for (Control control : Control.values()) {
        for (double way : new double[] {1, -1}) {
          found.add(moved(still, rest.with(control, way), phase));
        }
      }
      for (int input = 0; input < setup.transmitter().inputs().size(); input++) {
        if (setup.transmitter().inputs().get(input).kind() == InputKind.LEVER) {
          found.add(moved(still, rest.withInput(input, 1), phase));
        }
      }
    }
    return found;
  }

  private double[] moved(double[] still, Moment moment, int phase) {
    double[] there = path.evaluate(moment, phase).travelMm().clone();
    for (int i = 0; i < there.length; i++) {
      there[i] -= still[i];
    }
    return there;
  }
}
