package hightally.core.movement;

import hightally.core.airframe.Shares;
import hightally.core.hazard.HandsMoved;
import hightally.core.program.Mix;
import hightally.core.program.MixTarget;
import hightally.core.program.Sources;
import hightally.core.quantity.Control;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.NearestMoment;
import hightally.core.signal.SignalPath;
import hightally.core.signal.TallyMaker;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/**
 * What a mix does at the ends of its source: in the phase and position the bench stands in, or if
 * it does not act there, in the nearest in which it does.
 *
 * @param mix its id
 * @param here whether it acts where the bench stands
 * @param phase id of the phase it is told for; empty where no position lets it act
 * @param moved what stands otherwise than on the bench, in words
 * @param ends the ends of its source, plus first
 */
public record MixEffect(String mix, boolean here, String phase, List<Said> moved, List<End> ends) {

  /**
   * An end of the source.
   *
   * @param words what the pilot does there
   * @param plusSide whether it is the plus side
   * @param moment what the hands do there
   * @param movements what each surface it moves does there
   */
  public record End(Said words, boolean plusSide, Moment moment, List<Movement> movements) {}

  /**
   * A surface at such an end.
   *
   * @param addsPercent the mix's own line of the tally
   * @param addsMm the same in millimetres
   * @param addsDegrees the same in degrees
   * @param asPair whether the target that mirrors it gets the same; false where there is none
   * @param standsMm where the surface stands, of all that moves it
   */
  public record Movement(
      String surface,
      double addsPercent,
      double addsMm,
      double addsDegrees,
      boolean asPair,
      double standsMm) {}

  /** Of every mix, in the setup's order. */
  public static List<MixEffect> of(SignalPath path, Moment bench) {
    List<MixEffect> all = new ArrayList<>();
    for (int i = 0; i < path.setup().mixes().size(); i++) {
      all.add(of(path, bench, i));
    }
    return all;
  }

  static MixEffect of(SignalPath path, Moment bench, int index) {
    Mix mix = path.setup().mixes().get(index);
    Moment still = centred(bench);
    Optional<Moment> found = where(path, still, index);
    if (found.isEmpty()) {
      return new MixEffect(mix.id(), false, "", List.of(), List.of());
    }
    Moment stands = found.get();
    List<End> ends = new ArrayList<>();
    for (boolean plusSide : new boolean[] {true, false}) {
      at(path.setup(), mix, stands, plusSide)
          .map(end -> end(path, index, end, plusSide))
          .ifPresent(ends::add);
    }
    String phase = path.setup().phases().get(path.phase(stands)).id();
    return new MixEffect(
        mix.id(),
        HandsMoved.between(path, still, stands).isEmpty(),
        phase,
        HandsMoved.between(path, still, stands),
        ends);
  }

  /** The nearest moment in which a mix acts, sticks centred. */
  static Optional<Moment> where(SignalPath path, Moment still, int mix) {
    return NearestMoment.where(path, still, moment -> acts(path, moment, mix));
  }

  private static boolean acts(SignalPath path, Moment moment, int mix) {
    return (path.program().decided(moment, path.phase(moment)).acting() & 1L << mix) != 0;
  }

  /** Where a surface stands at so many places of a stick either side of its centre, mm. */
  static List<Double> swept(
      SignalPath path, Moment moment, Control control, int surface, int places) {
    List<Double> mm = new ArrayList<>();
    for (int i = -places; i <= places; i++) {
      mm.add(path.evaluate(moment.with(control, (double) i / places)).travelMm()[surface]);
    }
    return mm;
  }

  /** The bench's moment with its sticks let go. */
  static Moment centred(Moment bench) {
    return bench.with(Control.ROLL, 0).with(Control.PITCH, 0).with(Control.YAW, 0);
  }

  private static End end(SignalPath path, int mix, Hand hand, boolean plusSide) {
    Setup setup = path.setup();
    double[] stands = path.evaluate(hand.moment()).travelMm();
    List<Movement> movements = new ArrayList<>();
    List<String> targets =
        setup.mixes().get(mix).targets().stream().map(MixTarget::target).distinct().toList();
    for (String target : targets) {
      if (setup.surface(target).isPresent()) {
        int surface = path.indexOf(target);
        TallyMaker.Added adds = TallyMaker.ofMix(path, hand.moment(), surface, mix);
        String pair = setup.surface(target).orElseThrow().pair();
        boolean asPair = targets.contains(pair) && asPair(path, hand, mix, adds, pair);
        movements.add(
            new Movement(
                target, adds.percent(), adds.mm(), adds.degrees(), asPair, stands[surface]));
      }
    }
    return new End(hand.words(), plusSide, hand.moment(), movements);
  }

  private static boolean asPair(
      SignalPath path, Hand hand, int mix, TallyMaker.Added adds, String pair) {
    TallyMaker.Added other = TallyMaker.ofMix(path, hand.moment(), path.indexOf(pair), mix);
    return Deflection.alike(adds.percent(), other.percent(), adds.mm(), other.mm());
  }

  /** What the hands do at an end, and how that is called. */
  record Hand(Said words, Moment moment) {}

  /** An end of a mix's source; none where it has but one. */
  static Optional<Hand> at(Setup setup, Mix mix, Moment stands, boolean plusSide) {
    return mix.source().made(new Hands(setup, stands, plusSide), mix.subject());
  }

  /** What the hands do to bring each source to one of its ends. */
  private record Hands(Setup setup, Moment stands, boolean plusSide)
      implements Sources<Optional<Hand>> {
    @Override
    public Optional<Hand> stick(Control control) {
      int side = plusSide ? 1 : -1;
      Said words = Said.of("movement.fullStick", "control", control, "plus", plusSide);
      return Optional.of(new Hand(words, stands.with(control, side)));
    }

    @Override
    public Optional<Hand> response(Control control) {
      return stick(control);
    }

    @Override
    public Optional<Hand> input(String id) {
      int index = setup.transmitter().inputIndex(id);
      String name = setup.transmitter().inputs().get(index).name();
      Said words = Said.of("movement.inputEnd", "name", name, "far", plusSide);
      return Optional.of(new Hand(words, stands.withInput(index, plusSide ? 1 : 0)));
    }

    @Override
    public Optional<Hand> throttle() {
      return throttle(stands.throttleCut());
    }

    @Override
    public Optional<Hand> motor() {
      return throttle(false);
    }

    @Override
    public Optional<Hand> power() {
      return throttle(false);
    }

    private Optional<Hand> throttle(boolean cut) {
      Said words = Said.of("movement.throttleEnd", "full", plusSide);
      return Optional.of(new Hand(words, stands.withThrottle(plusSide ? 1 : 0, cut)));
    }

    /** The stick that moves the surface the most; none for one no stick moves. */
    @Override
    public Optional<Hand> command(String surface) {
      Shares shares = setup.surface(surface).orElseThrow().shares();
      Control most = null;
      for (Control control : Control.values()) {
        double share = Math.abs(shares.of(control));
        if (share > (most == null ? 0 : Math.abs(shares.of(most)))) {
          most = control;
        }
      }
      return most == null
          ? Optional.empty()
          : new Hands(setup, stands, plusSide == shares.of(most) > 0).stick(most);
    }

    @Override
    public Optional<Hand> always() {
      return plusSide
          ? Optional.of(new Hand(Said.of("movement.asItStands"), stands))
          : Optional.empty();
    }

    /** The ends of what is bent: where the hands are at theirs. */
    @Override
    public Optional<Hand> bent(Optional<Hand> of, DoubleUnaryOperator bend, double... corners) {
      return of;
    }
  }
}
