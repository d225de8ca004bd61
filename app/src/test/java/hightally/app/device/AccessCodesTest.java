package hightally.app.device;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.app.device.AccessCodes.Tried;
import java.time.Duration;
import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A code is good once and not for long, and guessing it is slow. */
class AccessCodesTest {
  private static final String PHONE = "192.168.7.20";

  private final Hands hands = new Hands();
  private final AccessCodes codes = new AccessCodes(hands);

  private static String wrong(String good) {
    return (good.charAt(0) == '2' ? "3" : "2") + good.substring(1);
  }

  @Test
  void aCodeIsGoodOnce() {
    String code = codes.make().code();
    assertThat(code).matches("[2-9A-HJ-NP-Z]{8}");
    assertThat(codes.use(code, PHONE)).isEqualTo(Tried.GOOD);
    assertThat(codes.use(code, PHONE)).isEqualTo(Tried.WRONG);
  }

  @Test
  void aCodeMayBeTypedInSmallLettersWithAHyphen() {
    String code = codes.make().code();
    String typed = " " + code.substring(0, 4).toLowerCase() + "-" + code.substring(4) + " ";
    assertThat(codes.use(typed, PHONE)).isEqualTo(Tried.GOOD);
  }

  @Test
  void aCodeIsGoodForFiveMinutesAndNotAMomentLonger() {
    String code = codes.make().code();
    hands.on(Duration.ofMinutes(5).minusMillis(1));
    assertThat(codes.use(wrong(code), "192.168.7.21")).isEqualTo(Tried.WRONG);
    assertThat(codes.use(code, PHONE)).isEqualTo(Tried.GOOD);
    String late = codes.make().code();
    hands.on(Duration.ofMinutes(5));
    assertThat(codes.use(late, PHONE)).isEqualTo(Tried.WRONG);
  }

  @Test
  void onlyTheNewestCodeIsGood() {
    String before = codes.make().code();
    String now = codes.make().code();
    assertThat(codes.use(before, PHONE)).isEqualTo(Tried.WRONG);
    assertThat(codes.use(now, "192.168.7.21")).isEqualTo(Tried.GOOD);
  }

  @Test
  void whereNoneWasMadeNoneIsGood() {
    assertThat(codes.use("", PHONE)).isEqualTo(Tried.WRONG);
  }

  /** One second after the first, two after the second, up to a minute. */
  @Test
  void whoeverIsWrongWaitsLongerEachTime() {
    for (long seconds : new long[] {1, 2, 4, 8, 16, 32, 60, 60}) {
      String code = codes.make().code();
      assertThat(codes.use(wrong(code), PHONE)).isEqualTo(Tried.WRONG);
      assertThat(codes.secondsLeft(PHONE)).isEqualTo(seconds);
      hands.on(Duration.ofSeconds(seconds).minusMillis(1));
      assertThat(codes.use(code, PHONE)).as("the good one, too soon").isEqualTo(Tried.TOO_SOON);
      hands.on(Duration.ofMillis(1));
      assertThat(codes.secondsLeft(PHONE)).isZero();
    }
    assertThat(codes.use(codes.make().code(), PHONE)).isEqualTo(Tried.GOOD);
    assertThat(codes.use("none", PHONE)).isEqualTo(Tried.WRONG);
    assertThat(codes.secondsLeft(PHONE)).as("patience begins anew").isEqualTo(1);
  }

  @Test
  void afterTenWrongOnesFromWhereverTheCodeIsDead() {
    String code = codes.make().code();
    for (int i = 0; i < 9; i++) {
      assertThat(codes.use(wrong(code), "192.168.7." + i)).isEqualTo(Tried.WRONG);
    }
    String next = codes.make().code();
    for (int i = 10; i < 20; i++) {
      assertThat(codes.use(wrong(next), "192.168.7." + i)).isEqualTo(Tried.WRONG);
    }
    assertThat(codes.use(next, PHONE)).isEqualTo(Tried.WRONG);
  }

  @Test
  void noTwoAreAlike() {
    Set<String> seen = new HashSet<>();
    for (int i = 0; i < 2_000; i++) {
      assertThat(seen.add(codes.make().code())).isTrue();
    }
  }
}
