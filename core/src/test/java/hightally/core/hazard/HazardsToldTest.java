package hightally.core.hazard;

import static hightally.core.English.say;
import static hightally.core.hazard.HazardSearchTest.clean;
import static hightally.core.hazard.HazardSearchTest.curve;
import static hightally.core.hazard.HazardSearchTest.mix;
import static hightally.core.hazard.HazardSearchTest.phase;
import static hightally.core.hazard.HazardSearchTest.planted;
import static hightally.core.hazard.HazardSearchTest.soft;
import static java.util.stream.Collectors.joining;
import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.airframe.Contact;
import hightally.core.airframe.Motor;
import hightally.core.channel.Channel;
import hightally.core.channel.Failsafe;
import hightally.core.channel.Receiver;
import hightally.core.channel.Wiring;
import hightally.core.edit.Edit;
import hightally.core.edit.Mend;
import hightally.core.program.Condition;
import hightally.core.program.ConditionKind;
import hightally.core.program.FailsafeSetting;
import hightally.core.program.FlightTimer;
import hightally.core.program.Mix;
import hightally.core.program.MixSource;
import hightally.core.program.Phase;
import hightally.core.program.Power;
import hightally.core.program.ThrottleCurve;
import hightally.core.quantity.OneOf;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.setup.Acceptance;
import hightally.core.setup.Notebook;
import hightally.core.setup.Setup;
import hightally.core.signal.Moment;
import hightally.core.signal.SignalPath;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Every fact a search tells: what happens, the way there, how it is shown, what mends it. */
class HazardsToldTest {
  private static Condition on(
      String id, ConditionKind kind, String subject, double limit, double s) {
    return new Condition(id, id, kind, subject, limit, List.of(), s);
  }

  private static Mix when(Mix one, String condition, double fade) {
    return new Mix(
        one.id(),
        one.name(),
        "",
        one.source(),
        one.subject(),
        one.weightPlusPercent(),
        one.weightMinusPercent(),
        0,
        List.of(),
        one.targets(),
        condition,
        List.of(),
        fade);
  }

  private static Mix constant(String id, double weight, String condition, double fade, String to) {
    return when(mix(id, MixSource.CONSTANT, "", weight, to), condition, fade);
  }

  private static String told(Setup setup) {
    HazardSearch.Outcome outcome = HazardSearch.of(SignalPath.of(setup));
    StringBuilder text = new StringBuilder();
    text.append(outcome.ending()).append("\n");
    for (Hazard one : outcome.hazards()) {
      text.append(one.kind()).append(" ").append(one.subject()).append(": ");
      text.append(facts(one.words())).append("\n");
      if (!one.way().isEmpty()) {
        text.append("  way: ")
            .append(one.way().stream().map(HazardsToldTest::facts).collect(joining("; ")))
            .append("\n");
      }
      if (one.moments().isEmpty()) {
        continue;
      }
      text.append("  shown: ").append(moments(one.showing().leadIn())).append(" then ");
      text.append(moments(one.moments()));
      text.append(String.format(Locale.ROOT, " for %.1f s", one.showing().seconds()));
      text.append(one.showing().linkLost() ? ", link lost\n" : "\n");
      for (Mend mend : one.mends()) {
        text.append("  mend: ").append(facts(mend.words()));
        for (Edit edit : mend.edits()) {
          text.append(
              String.format(
                  Locale.ROOT, " [%s %s %.1f]", edit.figure(), edit.subject(), edit.value()));
        }
        text.append("\n");
      }
    }
    return text.toString();
  }

  /** What is said without its sentence: the code, and each value by its name. */
  private static String facts(Said said) {
    return said.isEmpty()
        ? "nothing"
        : said.code()
            + said.with().entrySet().stream()
                .map(one -> one.getKey() + "=" + fact(one.getValue()))
                .collect(joining(", ", "(", ")"));
  }

  private static String fact(Object value) {
    if (value instanceof Said said) {
      return facts(said);
    }
    if (value instanceof List<?> list) {
      return list.stream().map(HazardsToldTest::fact).collect(joining(" + ", "[", "]"));
    }
    if (value instanceof Quantity quantity) {
      String figure =
          String.format(Locale.ROOT, "%." + quantity.decimals() + "f", quantity.value());
      return figure + " " + quantity.unit();
    }
    return value instanceof OneOf one ? one.name() : String.valueOf(value);
  }

  private static String moments(List<Moment> moments) {
    List<String> told = new ArrayList<>();
    for (Moment one : moments) {
      StringBuilder text = new StringBuilder();
      text.append(
          String.format(
              Locale.ROOT,
              "(%.2f %.2f %.2f, %.2f",
              one.roll(),
              one.pitch(),
              one.yaw(),
              one.throttle()));
      one.inputs().forEach(input -> text.append(String.format(Locale.ROOT, " %.2f", input)));
      told.add(text.append(")").toString());
    }
    return String.join(" ", told);
  }

  private static Setup facts() {
    List<Condition> conditions =
        List.of(
            on("lever-up", ConditionKind.ABOVE, "lever", 40, 0),
            on("far", ConditionKind.TELEMETRY_BELOW, "link", 30, 0),
            on("empty", ConditionKind.TELEMETRY_BELOW, "voltage", 11, 0),
            on("late", ConditionKind.TIMER_ABOVE, "clock", 60, 0),
            on("pulled", ConditionKind.ABOVE, "pitch", 50, 0),
            on("open", ConditionKind.ABOVE, "throttle", 20, 0),
            on("held", ConditionKind.BELOW, "yaw", -50, 1.5));
    List<Mix> mixes =
        List.of(
            constant("m-lever", 22, "lever-up", 0, "motor"),
            constant("m-far", 24, "far", 1, "motor"),
            constant("m-empty", 26, "empty", 3, "motor"),
            constant("m-late", 28, "late", 0, "motor"),
            constant("m-pulled", 30, "pulled", 0, "motor"),
            constant("m-open", 32, "open", 0, "motor"),
            constant("m-held", 34, "held", 0, "motor"));
    return clean()
        .change()
        .phases(List.of(phase("flight", "")))
        .conditions(conditions)
        .mixes(mixes)
        .power(
            clean()
                .power()
                .withTimers(
                    List.of(new FlightTimer("clock", "Clock", false, 0, "", "", List.of()))))
        .done();
  }

  /** A motor each way round on a lever, one driven besides by the roll stick; cut and arming. */
  private static Setup bothWays(boolean back, double fade) {
    Setup clean = clean();
    List<Channel> channels = new ArrayList<>(clean.channels());
    channels.add(new Channel(4, "other", Channel.THROTTLE, false, 0, 100, 100, 0));
    ThrottleCurve forward = curve(List.of(), 0, 60);
    ThrottleCurve backward = curve(List.of("landing"), 0, -30);
    Power power =
        new Power(
            "lever",
            true,
            List.of(forward, backward),
            "low",
            0,
            "",
            back,
            List.of(new FailsafeSetting(3, true, 0), new FailsafeSetting(4, false, 40)),
            true,
            List.of(),
            List.of(),
            List.of(),
            0);
    Phase landing = fade > 0 ? soft(phase("landing", "high")) : phase("landing", "high");
    return clean
        .change()
        .channels(channels)
        .airframe(
            clean
                .airframe()
                .withMotors(
                    List.of(
                        new Motor("motor", "Motor", 3, 0, 0, 250),
                        new Motor("other", "Other", 4, 0, 0, 250))))
        .conditions(
            List.of(
                on("high", ConditionKind.SWITCH_AT, "switch", 3, 0),
                on("low", ConditionKind.SWITCH_AT, "switch", 1, 0)))
        .phases(List.of(landing, phase("flight", "")))
        .mixes(List.of(mix("yawing", MixSource.STICK, "roll", 30, "other")))
        .power(power)
        .done();
  }

  /**
   * A flap that drives an aileron by a mix from its command, against a stop; a lever on one side.
   */
  private static Setup chained() {
    return clean()
        .change()
        .phases(List.of(phase("flight", "")))
        .conditions(List.of())
        .mixes(
            List.of(
                mix("camber", MixSource.INPUT, "lever", 40, "left"),
                mix("follow", MixSource.SURFACE, "left", 90, "right"),
                mix("lift", MixSource.THROTTLE, "", 30, "left")))
        .contacts(
            List.of(new Contact("right", 30, "left", 30), new Contact("slave", -20, "right", 5)))
        .done();
  }

  /** One mix that comes in slowly and one that does not, at the same flick. */
  private static Setup halfFaded() {
    return clean()
        .change()
        .phases(List.of(phase("flight", "")))
        .mixes(
            List.of(
                constant("slow", 30, "high", 1.5, "motor"),
                constant("flap", 60, "high", 0, "left"),
                constant("flap2", 60, "high", 2, "right")))
        .done();
  }

  private static Setup noFailsafe() {
    Setup clean = clean();
    return clean.change().power(clean.power().withFailsafe(List.of())).done();
  }

  private static Map<String, Setup> stories() {
    Map<String, Setup> stories = new LinkedHashMap<>();
    for (HazardKind kind : HazardKind.values()) {
      stories.put(kind.name(), planted(kind));
    }
    stories.put("facts", facts());
    stories.put("two motors", bothWays(true, 0));
    stories.put("two motors, cut let go anywhere", bothWays(false, 0));
    stories.put("two motors, soft", bothWays(true, 2));
    stories.put("chained", chained());
    stories.put("half faded", halfFaded());
    stories.put("no failsafe", noFailsafe());
    return stories;
  }

  /** Sections of the file, without the working. */
  private static Map<String, String> expected() throws IOException {
    Map<String, String> sections = new LinkedHashMap<>();
    String name = "";
    try (InputStream file = HazardsToldTest.class.getResourceAsStream("/hazards-told.txt")) {
      for (String line : new String(file.readAllBytes(), StandardCharsets.UTF_8).split("\n")) {
        if (line.startsWith("== ")) {
          name = line.substring(3);
          sections.put(name, "");
        } else if (!line.startsWith("#") && !line.isBlank()) {
          sections.merge(name, line + "\n", String::concat);
        }
      }
    }
    return sections;
  }

  @Test
  void everyFactOfEveryStory() throws IOException {
    Map<String, String> expected = expected();
    Map<String, String> told = new LinkedHashMap<>();
    stories().forEach((name, setup) -> told.put(name, told(setup)));
    if (Boolean.getBoolean("print")) {
      told.forEach((name, text) -> System.out.println("== " + name + "\n" + text));
    }
    assertThat(told.keySet()).isEqualTo(expected.keySet());
    expected.forEach((name, text) -> assertThat(told.get(name)).as(name).isEqualTo(text));
  }

  @Test
  void everyKindHasATitleAndAReasonAndFiveGround() {
    for (HazardKind kind : HazardKind.values()) {
      assertThat(say(kind.title())).isNotBlank().isNotEqualTo(say(kind.why()));
      assertThat(say(kind.why())).isNotBlank();
    }
    assertThat(java.util.Arrays.stream(HazardKind.values()).filter(HazardKind::grounds))
        .containsExactlyInAnyOrder(
            HazardKind.MOTOR_STARTS,
            HazardKind.CUT_DISAGREES,
            HazardKind.CANNOT_STOP,
            HazardKind.SURFACES_TOUCH,
            HazardKind.LINKAGE_LOCKS);
  }

  private static Setup accepting(Setup setup, String rule, String subject) {
    Notebook open = setup.notebook();
    List<Acceptance> accepted = List.of(new Acceptance(rule, subject, "known"));
    return setup
        .change()
        .notebook(
            new Notebook(open.goals(), open.sources(), accepted, open.rolesFromNames(), List.of()))
        .done();
  }

  @Test
  void whatIsAcceptedSaysSoAndComesLast() {
    Setup planted = planted(HazardKind.CANNOT_STOP);
    List<Hazard> open = HazardSearch.of(SignalPath.of(planted)).hazards();
    assertThat(open).extracting(Hazard::kind).first().isEqualTo(HazardKind.MOTOR_STARTS);
    assertThat(open).allMatch(one -> one.acceptedBecause().isEmpty());
    List<Hazard> one =
        HazardSearch.of(SignalPath.of(accepting(planted, "MOTOR_STARTS", "switch"))).hazards();
    assertThat(one).extracting(Hazard::kind).last().isEqualTo(HazardKind.MOTOR_STARTS);
    assertThat(one).extracting(Hazard::acceptedBecause).last().isEqualTo("known");
    assertThat(one).extracting(Hazard::acceptedBecause).first().isEqualTo("");
    for (Setup other :
        List.of(
            accepting(planted, "MOTOR_STARTS", "lever"),
            accepting(planted, "MOTOR_RISES", "switch"))) {
      assertThat(HazardSearch.of(SignalPath.of(other)).hazards())
          .allMatch(hazard -> hazard.acceptedBecause().isEmpty());
    }
  }

  @Test
  void whereTimersDecideAMomentSaysWhatIsTrueInIt() {
    Setup facts = facts();
    List<Condition> some =
        facts.conditions().stream()
            .filter(one -> one.id().equals("late") || one.id().equals("pulled"))
            .toList();
    List<Mix> mixes =
        facts.mixes().stream()
            .filter(one -> some.stream().anyMatch(c -> c.id().equals(one.when())))
            .toList();
    Setup timed = facts.change().conditions(some).mixes(mixes).done();
    Hazard late =
        HazardSearch.of(SignalPath.of(timed)).hazards().stream()
            .filter(one -> one.subject().equals("clock"))
            .findFirst()
            .orElseThrow();
    // Late first in order, pulled second.
    assertThat(late.moments().get(0).readings().truths().get(0)).isFalse();
    assertThat(late.moments().get(1).readings().truths().get(0)).isTrue();
    for (Moment moment : late.moments()) {
      assertThat(moment.readings().truths()).hasSize(2);
      assertThat(moment.readings().truths().get(1)).isEqualTo(moment.pitch() > 0.5);
    }
    Setup untimed = facts.change().conditions(some.subList(1, 2)).mixes(mixes.subList(1, 2)).done();
    assertThat(HazardSearch.of(SignalPath.of(untimed)).hazards())
        .isNotEmpty()
        .flatExtracting(Hazard::moments)
        .allMatch(moment -> moment.readings().truths().isEmpty());
  }

  @Test
  void progressIsToldFromTheBeginningToTheEndAndItStopsWhenTold() {
    List<Double> told = new ArrayList<>();
    HazardSearch.Outcome whole = HazardSearch.of(SignalPath.of(facts()), () -> false, told::add);
    assertThat(told).isSorted().startsWith(0.0).endsWith(1.0).hasSizeGreaterThan(5);
    assertThat(whole.motorWork()).isBetween(1L, whole.work());
    int[] asked = {0};
    HazardSearch.Outcome stopped =
        HazardSearch.of(SignalPath.of(facts()), () -> ++asked[0] == 3, part -> {});
    assertThat(stopped.ending()).isEqualTo(HazardSearch.Ending.STOPPED);
    assertThat(asked[0]).isEqualTo(3);
    HazardSearch.Outcome little =
        HazardSearch.of(SignalPath.of(facts()), whole.work() - 1, () -> false, part -> {});
    assertThat(little.ending()).isEqualTo(HazardSearch.Ending.TOO_LARGE);
    assertThat(little.complete()).isFalse();
  }

  @Test
  void aMotorOutOfTheFailsafesReachSaysSo() {
    Setup clean = clean();
    Receiver receiver = clean.wiring().receiver();
    Receiver one =
        new Receiver(
            receiver.name(), receiver.sockets(), receiver.anyChannel(), Failsafe.ONE_CHANNEL, 1);
    Setup setup = clean.change().wiring(new Wiring(one, clean.wiring().leads(), List.of())).done();
    Hazard found =
        HazardSearch.of(SignalPath.of(setup)).hazards().stream()
            .filter(hazard -> hazard.kind() == HazardKind.CUT_DISAGREES)
            .findFirst()
            .orElseThrow();
    assertThat(say(found.words())).contains("does not reach");
    assertThat(found.mends()).isEmpty();
    assertThat(found.showing().linkLost()).isTrue();
  }

  /** A kind nobody looks for is never found, and one that two look for is told twice. */
  @Test
  void everyKindIsLookedForByOne() {
    HazardSearch search =
        new HazardSearch(
            SignalPath.of(hightally.core.Rigs.plain()),
            new SearchBudget(1, () -> false, part -> {}));
    assertThat(search.finders().stream().flatMap(one -> one.kinds().stream()))
        .containsExactlyInAnyOrder(HazardKind.values());
    assertThat(search.finders().stream().mapToInt(HazardFinder::sharePercent).sum()).isEqualTo(100);
  }
}
