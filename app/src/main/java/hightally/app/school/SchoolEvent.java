package hightally.app.school;

import hightally.core.quantity.Absentable;
import hightally.core.trimming.TestCase;
import hightally.core.trimming.TestResult;
import hightally.core.trimming.TrimLever;

/**
 * One thing that happened in a practice, from which all of it is worked out again.
 *
 * @param test the test it was about; absent where it was about none
 * @param truth what a pilot who sees everything would have said
 * @param seen what was said
 * @param lever what was moved
 * @param to where it went
 */
record SchoolEvent(
    Kind kind,
    @Absentable TestCase test,
    @Absentable TestResult truth,
    @Absentable TestResult seen,
    @Absentable TrimLever lever,
    double to) {
  /** Kinds of it. */
  enum Kind {
    TAKE_OFF,
    FLOWN,
    SEEN,
    CHANGED,
    LEFT_OUT
  }

  static SchoolEvent takeOff() {
    return new SchoolEvent(Kind.TAKE_OFF, null, null, null, null, 0);
  }

  static SchoolEvent flown(TestCase test, TestResult truth) {
    return new SchoolEvent(Kind.FLOWN, test, truth, null, null, 0);
  }

  static SchoolEvent seen(TestCase test, TestResult seen) {
    return new SchoolEvent(Kind.SEEN, test, null, seen, null, 0);
  }

  static SchoolEvent changed(TestCase test, TrimLever lever, double to) {
    return new SchoolEvent(Kind.CHANGED, test, null, null, lever, to);
  }

  static SchoolEvent leftOut(TestCase test) {
    return new SchoolEvent(Kind.LEFT_OUT, test, null, null, null, 0);
  }
}
