package hightally.core.simulator;

import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Text;
import hightally.core.quantity.Within;
import hightally.core.setup.Setup;
import java.util.List;

/**
 * One thing about a model that its description does not know.
 *
 * @param kind what it is
 * @param subject id of the surface or panel it is on; empty where it is the whole model
 * @param size in the kind's unit
 */
public record HiddenFault(
    Kind kind,
    @Text(min = 0, max = 40) String subject,
    @Within(min = -100, max = 100) double size) {
  /** Kinds of faults, with the sizes that are met, from the least to the most. */
  public enum Kind {
    /** Percent of the mean chord; plus is further aft. */
    BALANCE(1, 4),
    /** Degrees; plus is more down. */
    DOWN_THRUST(0.5, 3),
    /** Degrees; plus is more to the right. */
    RIGHT_THRUST(0.5, 3),
    /** Percent of the mass, at a wing tip; plus is the right one. */
    TIP_MASS(0.1, 0.4),
    /** Degrees at a panel's tip; plus is leading edge up. */
    WARP(0.05, 0.3),
    /** Degrees of a tail or canard; plus is leading edge up. */
    TAIL_INCIDENCE(0.1, 1),
    /** Percent of the radius a horn has more than described. */
    HORN(3, 10),
    /** Likewise of a servo arm. */
    ARM(3, 10),
    /** Percent a turn of the rod ends does more than described. */
    THREAD(20, 40),
    /** Percent a click of the trim does more than described. */
    CLICK_STEP(5, 50),
    /** Mm a surface may hang to and fro. */
    PLAY(0.2, 1);

    private final double least;
    private final double most;

    Kind(double least, double most) {
      this.least = least;
      this.most = most;
    }

    /** The smallest that is met. */
    public double least() {
      return least;
    }

    /** The largest that is met. */
    public double most() {
      return most;
    }
  }

  /** The sum of one kind's sizes on one subject; 0 where there is none. */
  static double sum(List<HiddenFault> faults, Kind kind, String subject) {
    return faults.stream()
        .filter(one -> one.kind == kind && one.subject.equals(subject))
        .mapToDouble(HiddenFault::size)
        .sum();
  }

  /** The same faults; refused where one is on nothing the model has. */
  static List<HiddenFault> checked(Setup setup, List<HiddenFault> faults) {
    for (int i = 0; i < faults.size(); i++) {
      HiddenFault one = faults.get(i);
      if (!one.fits(setup)) {
        String field = "faults[" + i + "].subject";
        throw InvalidInputException.of(field, one.subject(), Said.of("demand.subjectOfFault"));
      }
    }
    return faults;
  }

  private boolean fits(Setup setup) {
    return switch (kind) {
      case HORN, ARM, PLAY -> setup.surface(subject).isPresent();
      case WARP -> setup.airframe().panels().stream().anyMatch(one -> one.id().equals(subject));
      default -> subject.isEmpty();
    };
  }
}
