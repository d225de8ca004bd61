package hightally.core.program;

import hightally.core.quantity.Control;

/**
 * Where a mix takes its value from, in percent. A source stands here and nowhere else: what its
 * subject names, the least it comes to (the most is always 100), and what it is made from.
 */
public enum MixSource {
  /** A stick behind its rate and expo. */
  RESPONSE(SourceOf.STICK, -100) {
    @Override
    public <S> S made(Sources<S> sources, String subject) {
      return sources.response(Control.named(subject));
    }
  },
  /** A stick as the thumb moves it, before rate and expo. */
  STICK(SourceOf.STICK, -100) {
    @Override
    public <S> S made(Sources<S> sources, String subject) {
      return sources.stick(Control.named(subject));
    }
  },
  /** A lever or switch, 0 to 100. */
  INPUT(SourceOf.INPUT, 0) {
    @Override
    public <S> S made(Sources<S> sources, String subject) {
      return sources.input(subject);
    }
  },
  /** The throttle stick, -100 back to 100 full. */
  THROTTLE(SourceOf.NOTHING, -100) {
    @Override
    public <S> S made(Sources<S> sources, String subject) {
      return sources.throttle();
    }
  },
  /** The motor's power as it is told, 0 to 100, behind curve, cut and arming. */
  POWER(SourceOf.NOTHING, 0) {
    @Override
    public <S> S made(Sources<S> sources, String subject) {
      return sources.power();
    }
  },
  /** Another surface's command. */
  SURFACE(SourceOf.SURFACE, -100) {
    @Override
    public <S> S made(Sources<S> sources, String subject) {
      return sources.command(subject);
    }
  },
  /** Always 100. */
  CONSTANT(SourceOf.NOTHING, 100) {
    @Override
    public <S> S made(Sources<S> sources, String subject) {
      return sources.always();
    }
  };

  private final SourceOf of;
  private final double least;

  MixSource(SourceOf of, double least) {
    this.of = of;
    this.least = least;
  }

  /** What its subject names. */
  public SourceOf of() {
    return of;
  }

  /** The least it comes to, percent. */
  public double least() {
    return least;
  }

  /** What it is made from at its root. */
  public SourceRoot root() {
    return SourceRoot.of(this);
  }

  /** The source made. */
  public abstract <S> S made(Sources<S> sources, String subject);
}
