package hightally.app.device;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.Ticker;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;

/**
 * The code that lets one device in: made on this computer, good once and for five minutes, and only
 * the newest. Whoever tries a wrong one waits: one second, then two, four and so on up to a minute;
 * and after ten wrong ones, from wherever, the code is no longer good.
 */
@Component
class AccessCodes {
  static final Duration GOOD_FOR = Duration.ofMinutes(5);
  static final int WRONG_ONES = 10;
  private static final Duration LONGEST_WAIT = Duration.ofMinutes(1);

  /** Without those that look alike: five bits a letter, 40 bits a code. */
  private static final String LETTERS = "23456789ABCDEFGHJKLMNPQRSTUVWXYZ";

  private static final int LENGTH = 8;

  /** A code and until when it is good. */
  record Code(String code, Instant goodUntil) {}

  /** How a try ended. */
  enum Tried {
    GOOD,
    WRONG,
    TOO_SOON
  }

  /** How often an address was wrong, and from when it may try again. */
  private record Patience(int wrong, Instant from) {}

  private final Clock clock;
  private final SecureRandom random = new SecureRandom();
  private final Cache<String, Patience> patience;
  private Code open;
  private int wrongOnes;

  AccessCodes(Clock clock) {
    this.clock = clock;
    Ticker ticker = () -> TimeUnit.MILLISECONDS.toNanos(clock.millis());
    this.patience =
        Caffeine.newBuilder()
            .ticker(ticker)
            .expireAfterWrite(Duration.ofHours(1))
            .maximumSize(10_000)
            .build();
  }

  /** A new code; the one before is no longer good. */
  synchronized Code make() {
    StringBuilder code = new StringBuilder();
    for (int i = 0; i < LENGTH; i++) {
      code.append(LETTERS.charAt(random.nextInt(LETTERS.length())));
    }
    open = new Code(code.toString(), clock.instant().plus(GOOD_FOR));
    wrongOnes = 0;
    return open;
  }

  /** Tries a code from an address; a good one is used up by it. */
  synchronized Tried use(String typed, String address) {
    Instant now = clock.instant();
    Patience before = patience.getIfPresent(address);
    if (before != null && now.isBefore(before.from)) {
      return Tried.TOO_SOON;
    }
    if (open != null && now.isBefore(open.goodUntil) && same(plain(typed), open.code)) {
      open = null;
      patience.invalidate(address);
      return Tried.GOOD;
    }
    int wrong = before == null ? 1 : before.wrong + 1;
    patience.put(address, new Patience(wrong, now.plus(wait(wrong))));
    wrongOnes++;
    if (wrongOnes >= WRONG_ONES) {
      open = null;
    }
    return Tried.WRONG;
  }

  private static Duration wait(int wrong) {
    Duration doubled = Duration.ofSeconds(1L << Math.min(wrong - 1, 6));
    return doubled.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : doubled;
  }

  /** How long an address has still to wait, in whole seconds. */
  synchronized long secondsLeft(String address) {
    Patience waiting = patience.getIfPresent(address);
    if (waiting == null) {
      return 0;
    }
    long left = Duration.between(clock.instant(), waiting.from).toMillis();
    return left <= 0 ? 0 : (left + 999) / 1000;
  }

  /** As typed by hand: in small letters, with a hyphen or a gap. */
  private static String plain(String typed) {
    return typed.toUpperCase(Locale.ROOT).replaceAll("[\\s-]", "");
  }

  private static boolean same(String one, String other) {
    return MessageDigest.isEqual(
        one.getBytes(StandardCharsets.UTF_8), other.getBytes(StandardCharsets.UTF_8));
  }
}
