package hightally.core.simulator;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.DemoModels;
import hightally.core.setup.Setup;
import hightally.core.trimming.TrimStep;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * The coach against the simulated model: seeded models of four kinds with one to four hidden
 * faults, a pilot who reports what was measured and does what the coach says. Two of each kind are
 * flown here; 200 with {@code -Dpublish=true}, which writes {@code docs/coach-flown.md}.
 */
class CoachFlownTest {
  private static final int MOST = 25;
  private static final Path TABLE = Path.of("../docs/coach-flown.md");
  private static final List<String> KINDS = List.of("quillon", "brindle", "larkmere", "skerrow");

  private static final Map<String, TrimmedLesson> LESSONS = new HashMap<>();

  private record Season(
      String kind,
      Practice.Set set,
      CoachFollowed.Followed flown,
      int before,
      int after,
      int more) {
    boolean ended() {
      return flown.ended() && flown.flights() <= MOST;
    }
  }

  private static Season season(String name, int seed) {
    Setup setup = DemoModels.read(name);
    FlightTraits traits = FlightTraits.proposed(setup);
    List<HiddenFault> faults = FaultGenerator.random(setup, traits, 1 + seed % 4, new Random(seed));
    TestFlight.Wish wish =
        traits.kind() == FlightTraits.Class.AEROBATIC
            ? TestFlight.Wish.PRECISE
            : TestFlight.Wish.SPORT;
    TrimmedLesson lesson =
        LESSONS.computeIfAbsent(
            name, one -> TrimmedLesson.of(setup, traits, wish, (what, longest) -> "Mix"));
    Practice.Set set =
        new Practice.Set(lesson.start(), traits, lesson.built(), faults, wish, 0, seed);
    Practice practice = new Practice(set);
    practice.know(lesson.limits());
    CoachFollowed.Followed flown = CoachFollowed.of(practice, MOST, (what, longest) -> "Mix");
    List<CoachFollowed.Limit> limits = new ArrayList<>(lesson.limits());
    limits.addAll(flown.limits());
    return new Season(
        traits.kind().name(),
        set,
        flown,
        CoachFollowed.trouble(new Practice(set), limits),
        CoachFollowed.trouble(practice, limits),
        CoachFollowed.trouble(practice) - CoachFollowed.trouble(new Practice(set)));
  }

  @Test
  void theCoachEndsWithEveryTestRightOrAtANamedLimitAndMakesNoModelWorse() throws IOException {
    boolean publish = Boolean.getBoolean("publish");
    List<Season> seasons = new ArrayList<>();
    for (int i = 0; i < (publish ? 200 : 4); i++) {
      seasons.add(season(KINDS.get(i % KINDS.size()), publish ? i : 1000 + i));
    }
    if (publish) {
      Files.writeString(TABLE, table(seasons));
    }
    long ended = seasons.stream().filter(Season::ended).count();
    assertThat(ended * 10).as(table(seasons)).isGreaterThanOrEqualTo(seasons.size() * 9L);
    List<String> worse =
        seasons.stream()
            .filter(one -> one.after() > one.before())
            .map(one -> one.kind() + " " + one.set().faults())
            .toList();
    assertThat(worse).isEmpty();
  }

  private static String table(List<Season> seasons) {
    StringBuilder text = new StringBuilder();
    text.append("# The coach, flown in the simulator\n\n");
    text.append(
        "Seeded models of four kinds, balanced and trimmed right before one to four faults were hidden in them, flown by the [simulated model](flight.md) and a pilot who reports what was measured and does what the coach says. Trouble is the sum of the strengths of everything the tests show, before and after, without what is a limit; the last column counts the models whose sum rose with the limits counted in. What a model shows without any fault and whatever is done is known to its pilot and not reported. A limit is a test that is not right and has no change: its lever is at its end, or was tried and is not the cause, or another test decides it. `CoachFlownTest` flies them; with `-Dpublish=true` it writes this page.\n\n");
    text.append(
        "| kind | models | ended within 25 flights | flights, mean | every test right | trouble before → after | made worse | more with limits |\n|---|---|---|---|---|---|---|---|\n");
    List<String> kinds = seasons.stream().map(Season::kind).distinct().toList();
    for (String kind : kinds) {
      row(text, kind, seasons.stream().filter(one -> one.kind().equals(kind)).toList());
    }
    row(text, "all", seasons);
    text.append("\n## Limits\n\n| kind | test | why | models |\n|---|---|---|---|\n");
    for (String kind : kinds) {
      seasons.stream()
          .filter(one -> one.kind().equals(kind))
          .flatMap(one -> one.flown().limits().stream())
          .collect(
              Collectors.groupingBy(
                  one -> one.test().test().id() + " | " + why(one),
                  java.util.TreeMap::new,
                  Collectors.counting()))
          .forEach((what, count) -> text.append("| %s | %s | %d |\n".formatted(kind, what, count)));
    }
    return text.toString();
  }

  private static String why(CoachFollowed.Limit limit) {
    if (limit.lever() == null) {
      return "left what can be reckoned with, or has no level flight";
    }
    String lever = limit.lever().name().toLowerCase(java.util.Locale.ROOT).replace('_', ' ');
    return lever + (limit.why() == TrimStep.Verdict.AT_LIMIT ? " at its end" : " is not the cause");
  }

  private static void row(StringBuilder text, String kind, List<Season> all) {
    text.append(
        "| %s | %d | %d | %.1f | %d | %.1f → %.1f | %d | %d |\n"
            .formatted(
                kind,
                all.size(),
                all.stream().filter(Season::ended).count(),
                all.stream().mapToInt(one -> one.flown().flights()).average().orElse(0),
                all.stream().filter(one -> one.ended() && one.flown().limits().isEmpty()).count(),
                all.stream().mapToInt(Season::before).average().orElse(0),
                all.stream().mapToInt(Season::after).average().orElse(0),
                all.stream().filter(one -> one.after() > one.before()).count(),
                all.stream().filter(one -> one.more() > 0).count()));
  }
}
