package hightally.core.program;

import hightally.core.quantity.Copyable;
import hightally.core.quantity.Said;
import hightally.core.quantity.SelfChecked;
import hightally.core.quantity.Text;
import hightally.core.quantity.Unit;
import hightally.core.quantity.Violation;
import hightally.core.quantity.Within;
import java.util.List;
import java.util.function.Consumer;

/**
 * One thing moves another.
 *
 * <p>With x the source in percent: {@code weight/100 · (x ∓ start)} beyond the start point on
 * either side and 0 within it; or, where a curve is given, the curve's value at x.
 *
 * @param id short name used by references
 * @param name the pilot's name for it
 * @param reason why it is there
 * @param source where its value comes from
 * @param subject {@code roll}, {@code pitch}, {@code yaw}, an input's or a surface's id; empty
 *     where the source needs none
 * @param weightPlusPercent for the plus side
 * @param weightMinusPercent for the minus side
 * @param startPercent below this, either side, nothing happens
 * @param curve instead of weights; empty for none
 * @param targets what it moves
 * @param when id of a condition; empty for always
 * @param phases ids of the phases it acts in; empty for all
 * @param fadeSeconds how long it takes to come in and to go when its condition changes; 0 for at
 *     once
 */
@Copyable
public record Mix(
    @Text(max = 40, pattern = "[a-z0-9]+(-[a-z0-9]+)*") String id,
    @Text String name,
    @Text(min = 0, max = 300) String reason,
    MixSource source,
    @Text(min = 0, max = 40) String subject,
    @Within(min = -MOST_PERCENT, max = MOST_PERCENT, unit = Unit.PERCENT) double weightPlusPercent,
    @Within(min = -MOST_PERCENT, max = MOST_PERCENT, unit = Unit.PERCENT) double weightMinusPercent,
    @Within(min = 0, max = 100, unit = Unit.PERCENT) double startPercent,
    List<CurvePoint> curve,
    List<MixTarget> targets,
    @Text(min = 0, max = 40) String when,
    List<String> phases,
    @Within(min = 0, max = 10, unit = Unit.SECONDS) double fadeSeconds)
    implements SelfChecked {
  /** The largest weight there is, either way. */
  public static final double MOST_PERCENT = 150;

  public Mix {
    curve = curve == null ? null : List.copyOf(curve);
    targets = targets == null ? null : List.copyOf(targets);
    phases = phases == null ? null : List.copyOf(phases);
  }

  /** A copy to change, part by part. */
  public MixCopy change() {
    return MixCopy.from(this);
  }

  @Override
  public void check(String path, Consumer<Violation> found) {
    if (!curve.isEmpty()) {
      Curve.violations(path + "curve", curve).forEach(found);
    }
    for (int i = 0; i < targets.size(); i++) {
      if (!curve.isEmpty() && targets.get(i).sided()) {
        found.accept(
            Violation.of(
                path + "targets[" + i + "].factorMinus",
                targets.get(i).factorMinus(),
                Said.of("demand.alikeWithCurve")));
      }
    }
    if (targets.isEmpty()) {
      found.accept(
          Violation.of(path + "targets", Said.of("given.none"), Said.of("demand.leastOne")));
    }
  }

  /** The same mix under another name. */
  public Mix named(String changedName, String changedReason) {
    return change().name(changedName).reason(changedReason).done();
  }

  /** The same mix with other weights, or another curve instead of them. */
  public Mix weighing(double plus, double minus, List<CurvePoint> changedCurve) {
    return change().weightPlusPercent(plus).weightMinusPercent(minus).curve(changedCurve).done();
  }

  /** The same mix coming in over another time. */
  public Mix fading(double changedSeconds) {
    return change().fadeSeconds(changedSeconds).done();
  }

  /** The same mix, acting at other times. */
  public Mix acting(String changedWhen, List<String> changedPhases) {
    return change().when(changedWhen).phases(changedPhases).done();
  }

  /** The same mix, moving other things. */
  public Mix moving(List<MixTarget> changedTargets) {
    return change().targets(changedTargets).done();
  }

  /** The same mix from another source. */
  public Mix from(MixSource changedSource, String changedSubject) {
    return change().source(changedSource).subject(changedSubject).done();
  }

  /** The same mix from another subject. */
  public Mix from(String changed) {
    return change().subject(changed).done();
  }
}
