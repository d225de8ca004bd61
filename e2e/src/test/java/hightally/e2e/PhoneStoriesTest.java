package hightally.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static hightally.e2e.Catalogue.begins;
import static hightally.e2e.Catalogue.like;
import static hightally.e2e.Catalogue.say;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.client.j2se.BufferedImageLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.Inet4Address;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;

/** A desk and phones on the local network: let in, sent away, and out of reach of the program. */
@ExtendWith(Evidence.class)
class PhoneStoriesTest {
  @TempDir static Path folder;
  private static RunningApp app;
  private static Browser browser;
  private static int port;
  private static boolean reached;

  @BeforeAll
  static void start() throws IOException {
    try (ServerSocket free = new ServerSocket(0)) {
      port = free.getLocalPort();
    }
    started();
    browser = Story.beside(app, Browser::shared);
    PlaywrightAssertions.setDefaultAssertionTimeout(60_000);
  }

  private static void started() {
    app = RunningApp.nextForDevices(folder.resolve("data"), port);
    reached = true;
  }

  /** From here on no phone reaches the program. */
  private static void outOfReach() {
    app.end();
    reached = false;
  }

  /** A story that fails while the program is out of reach takes no other with it. */
  @BeforeEach
  void runs() {
    if (!reached) {
      app.close();
      started();
    }
  }

  @AfterAll
  static void stop() {
    try {
      browser.closePages();
    } finally {
      app.close();
    }
  }

  /** Where a device finds this machine. */
  private static String network() {
    try {
      for (NetworkInterface one : Collections.list(NetworkInterface.getNetworkInterfaces())) {
        for (InetAddress address : Collections.list(one.getInetAddresses())) {
          if (address instanceof Inet4Address && !address.isLoopbackAddress()) {
            return "http://" + address.getHostAddress() + ":" + port + "/";
          }
        }
      }
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
    throw new AssertionError("this test needs a machine with a network");
  }

  private static Page desk(String path) {
    Page page = browser.page(1280, 800, ColorScheme.LIGHT);
    page.navigate(app.address() + path);
    return page;
  }

  private static Page device() {
    return browser.page(360, 780, ColorScheme.LIGHT);
  }

  /** What a camera reads off the desk's screen: found in the picture, or else filling it. */
  private static String scanned(Page desk) {
    try {
      byte[] seen =
          desk.getByRole(AriaRole.IMG, Story.named(say("settings.phonesCard.codePicture")))
              .screenshot();
      var light = new BufferedImageLuminanceSource(ImageIO.read(new ByteArrayInputStream(seen)));
      var bits = new BinaryBitmap(new HybridBinarizer(light));
      try {
        return new QRCodeReader().decode(bits).getText();
      } catch (com.google.zxing.ReaderException e) {
        return new QRCodeReader().decode(bits, Map.of(DecodeHintType.PURE_BARCODE, true)).getText();
      }
    } catch (IOException | com.google.zxing.ReaderException e) {
      throw new IllegalStateException(e);
    }
  }

  private static void letIn(Page desk, Page phone, String name) {
    Story.button(desk, say("settings.phonesCard.add")).click();
    assertThat(desk.locator("[data-code]")).isVisible();
    String link = scanned(desk).replaceFirst("http://[^/]*/", network());
    phone.navigate(link);
    phone.getByLabel(say("settings.letInPage.name")).fill(name);
    Story.button(phone, say("settings.letInPage.getAccess")).click();
    assertThat(phone.getByText(say("settings.letInPage.inside"))).isVisible();
    assertThat(desk.locator("[data-device='" + name + "']")).isVisible();
  }

  private static Page phone(String name) {
    Page desk = desk("settings");
    Page phone = device();
    letIn(desk, phone, name);
    desk.close();
    return phone;
  }

  @Test
  void aPhoneIsLetInByScanningAndSentAway() {
    Page desk = desk("settings");
    Page phone = device();
    phone.navigate(network());
    assertThat(phone.getByText(like("hangar.shell.noAccess"))).isVisible();
    assertThat(phone.locator("main")).not().containsText("Quillon");
    letIn(desk, phone, "Pocket");
    phone.getByRole(AriaRole.LINK, Story.named(say("settings.letInPage.toTheHangar"))).click();
    assertThat(phone.locator("main")).containsText("Quillon");

    // The code was good once; the desk no longer shows it.
    assertThat(desk.locator("[data-code]")).hasCount(0);
    assertThat(desk.getByText(say("settings.phonesCard.hasAccess"))).isVisible();

    Story.button(desk, say("settings.phonesCard.remove", "name", "Pocket")).click();
    assertThat(desk.locator("[data-device='Pocket']")).hasCount(0);
    phone.reload();
    assertThat(phone.getByText(like("hangar.shell.noAccess"))).isVisible();
    assertThat(phone.locator("main")).not().containsText("Quillon");
    desk.close();
    phone.close();
  }

  @Test
  void aCodeIsTypedAndAWrongOneIsRefusedInWords() {
    Page desk = desk("settings");
    Story.button(desk, say("settings.phonesCard.add")).click();
    String code = desk.locator("[data-code]").getAttribute("data-code");
    Page phone = device();
    phone.navigate(network() + "let-in");
    phone.getByLabel(say("settings.letInPage.code")).fill("2222-2222");
    Story.button(phone, say("settings.letInPage.getAccess")).click();
    assertThat(phone.getByRole(AriaRole.ALERT).last()).containsText(like("refused.wrongCode"));
    phone.waitForTimeout(1_100);
    phone.getByLabel(say("settings.letInPage.code")).fill(code.toLowerCase());
    Story.button(phone, say("settings.letInPage.getAccess")).click();
    assertThat(phone.getByText(say("settings.letInPage.inside"))).isVisible();
    Story.button(desk, say("settings.phonesCard.remove", "name", "Phone")).click();
    assertThat(desk.locator("[data-device='Phone']")).hasCount(0);
    desk.close();
    phone.close();
  }

  private static JsonNode flights(long model) {
    return Models.call(app, "GET", "api/aircraft/" + model + "/flights?size=100", null);
  }

  private static List<String> goals(long model) {
    List<String> goals = new ArrayList<>();
    flights(model).get("items").forEach(one -> goals.add(one.at("/report/goal").asText()));
    Collections.reverse(goals);
    return goals;
  }

  private static void fly(Page phone, String goal) {
    Story.describeTheDay(phone);
    phone.getByLabel(say("field.FlightReport.goal")).fill(goal);
    Story.button(phone, say("flightlog.flightEntryPage.save")).click();
    phone.waitForURL("**/fly");
  }

  @Test
  void flightsEnteredWhileTheProgramIsKilledAreStoredOnceAndInOrder() {
    long model = Models.planted(app, 1, setup -> setup.put("name", "Dabchick"));
    outOfReach();
    app = RunningApp.startForDevices(folder.resolve("data"), port);
    Page phone = phone("Field");
    phone.navigate(network() + "models/" + model + "/fly");
    phone.locator("main a[href$='/fly/new']").first().click();
    assertThat(Story.button(phone, say("flightlog.flightEntryPage.save"))).isVisible();
    phone.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
    app.kill();

    fly(phone, "first");
    assertThat(phone.locator("[data-away='1']")).containsText(like("hangar.offlineBanner.offline"));
    assertThat(phone.getByText(like("hangar.offlineBanner.offline"))).isVisible();
    phone.locator("main a[href$='/fly/new']").first().click();
    fly(phone, "second");
    assertThat(phone.locator("[data-away='2']")).isVisible();

    started();
    assertThat(phone.locator("[data-away], [data-sending]")).hasCount(0);
    assertThat(phone.getByText("first").first()).isVisible();
    assertThat(phone.getByText("second").first()).isVisible();
    assertThat(goals(model)).containsExactly("first", "second");

    // The phone is known as before, and the next flight goes straight through.
    phone.locator("main a[href$='/fly/new']").first().click();
    fly(phone, "third");
    assertThat(goals(model)).containsExactly("first", "second", "third");
    phone.close();
  }

  @Test
  void aCheckGoesOnOutOfReachAndIsJudgedWhenTheProgramIsBack() {
    long model = Models.planted(app, 1, setup -> setup.put("name", "Turnstone"));
    Page phone = phone("Check");
    phone.navigate(network() + "models/" + model + "/fly/checks");
    phone.locator("[data-begin=FLIGHT]").click();
    assertThat(phone.locator("[data-check-step=parts]")).isVisible();
    phone.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
    outOfReach();

    String wrong = allAnswered(phone, 2);
    // Out of reach nothing is judged: what was answered is told, and that it waits.
    assertThat(phone.getByText(say("preflight.checkRunPage.notEvaluated"))).isVisible();
    assertThat(phone.locator("[data-unjudged]"))
        .containsText(
            like("check.wrong", "step", wrong, "note_colon", ", The left one", "note", ""));
    assertThat(phone.getByText(say("preflight.checkRunPage.nothingWrong"))).hasCount(0);

    started();
    assertThat(phone.locator("[data-unjudged]")).hasCount(0);
    assertThat(phone.getByText(say("preflight.checkRunPage.doNotFly"))).isVisible();
    assertThat(phone.locator("[data-reasons]")).containsText("The left one sticks");
    JsonNode run = Models.call(app, "GET", "api/aircraft/" + model + "/checks", null).at("/runs/0");
    assertThat(run.get("answered")).isEqualTo(run.get("steps"));
    phone.close();
  }

  /** Every step to the end, one of them not right; answers with that one's title. */
  private static String allAnswered(Page phone, int wrongOne) {
    String wrong = "";
    for (int i = 0; phone.locator("[data-check-step]").count() > 0; i++) {
      String step = phone.locator("[data-check-step]").getAttribute("data-check-step");
      if (i == wrongOne) {
        wrong = phone.locator("[data-check-step]").innerText();
        Story.button(phone, say("preflight.checkRunPage.wrong")).click();
        phone.getByLabel(say("preflight.checkRunPage.whyAsked")).fill("The left one sticks");
        Story.button(phone, say("preflight.checkRunPage.foundWrong")).click();
      } else {
        Story.button(phone, say("preflight.checkRunPage.asItShouldBe")).click();
      }
      assertThat(phone.locator("[data-check-step='" + step + "']")).hasCount(0);
    }
    return wrong;
  }

  @Test
  void aCheckIsBegunAndEndedOutOfReachAndKeptAsOfThen() {
    long model = Models.planted(app, 1, setup -> setup.put("name", "Whimbrel"));
    Page phone = phone("Away");
    // The steps of every check are asked for ahead.
    phone
        .waitForResponse(
            one -> one.url().endsWith("/checks/ahead") && one.ok(),
            () -> phone.navigate(network() + "models/" + model + "/fly/checks"))
        .finished();
    assertThat(phone.locator("[data-begin=FLIGHT]")).isVisible();
    phone.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
    outOfReach();

    phone.locator("[data-begin=FLIGHT]").click();
    assertThat(phone.locator("[data-check-step=parts]")).isVisible();
    Story.button(phone, say("preflight.checkRunPage.asItShouldBe")).click();
    assertThat(phone.locator("[data-check-step=parts]")).hasCount(0);
    // Left in the middle, it is found again among the checks.
    phone.goBack();
    assertThat(phone.getByText(say("preflight.checkRunPage.begunOffline"))).isVisible();
    phone.getByRole(AriaRole.LINK, Story.named(say("preflight.checksPage.continue"))).click();
    assertThat(phone.locator("[data-check-step=parts]")).hasCount(0);
    String wrong = allAnswered(phone, 1);
    assertThat(phone.getByText(say("preflight.checkRunPage.notEvaluated"))).isVisible();
    assertThat(phone.locator("[data-unjudged]"))
        .containsText(
            like("check.wrong", "step", wrong, "note_colon", ", The left one", "note", ""));
    Instant before = Instant.now();
    Story.button(phone, say("preflight.checkRunPage.finish")).click();
    assertThat(phone.getByText(say("preflight.checksPage.finishedOffline"))).isVisible();
    // What stuck is freed, everything is looked at again, and it flies.
    phone.locator("[data-begin=FLIGHT]").click();
    assertThat(phone.locator("[data-check-step]")).isVisible();
    allAnswered(phone, -1);
    Story.button(phone, say("preflight.checkRunPage.finish")).click();
    phone.locator("a[href$='/models/" + model + "/fly']").first().click();
    phone.locator("a[href$='/fly/new']").first().click();
    assertThat(phone.getByText(like("flightlog.seenCards.checkedOffline"))).isVisible();
    fly(phone, "after both checks");

    started();
    assertThat(phone.locator("[data-away], [data-sending]")).hasCount(0);
    assertThat(phone.locator("[data-refused]")).hasCount(0);
    JsonNode runs = Models.call(app, "GET", "api/aircraft/" + model + "/checks", null).get("runs");
    assertThat(runs).hasSize(2);
    for (JsonNode run : runs) {
      assertThat(run.get("answered")).isEqualTo(run.get("steps"));
      assertThat(run.get("state").asText()).isEqualTo("DONE");
    }
    JsonNode first = runs.get(1);
    assertThat(first.get("faulty").asBoolean()).isTrue();
    assertThat(runs.get(0).get("faulty").asBoolean()).isFalse();
    String at = "api/aircraft/" + model + "/checks/" + first.get("id").asLong();
    assertThat(Models.call(app, "GET", at, null).at("/judged/reasons")).hasSize(1);
    assertThat(Instant.parse(first.get("createdAt").asText())).isBefore(before.plusSeconds(1));
    JsonNode flight =
        Models.call(app, "GET", "api/aircraft/" + model + "/flights", null).at("/items/0");
    assertThat(flight.at("/seen/check")).isEqualTo(runs.at("/0/id"));
    phone.navigate(network() + "models/" + model + "/fly/checks");
    assertThat(phone.getByText(say("preflight.checksPage.notPassed")).first()).isVisible();
    assertThat(phone.getByText(say("preflight.checksPage.finishedOffline"))).hasCount(0);
    phone.close();
  }

  /**
   * What a phone in a pocket does with a tab, and what a browser allows without a secure origin.
   */
  @Test
  void aTabPutToSleepComesBackOutOfReachAndGoesOn() {
    long model = Models.planted(app, 1, setup -> setup.put("name", "Redshank"));
    Page phone = phone("Sleeper");
    phone.navigate(network() + "models/" + model + "/fly");
    assertThat(phone.getByText(say("flightlog.flightsPage.notFlown"))).isVisible();
    phone.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
    phone.navigate("about:blank");
    outOfReach();

    phone.goBack();
    assertThat(phone.locator("[data-away]")).containsText(like("hangar.offlineBanner.offline"));
    assertThat(phone.getByText(say("flightlog.flightsPage.notFlown"))).isVisible();
    phone.locator("main a[href$='/fly/new']").first().click();
    fly(phone, "after the sleep");
    assertThat(phone.locator("[data-away='1']")).isVisible();

    started();
    assertThat(phone.locator("[data-away], [data-sending]")).hasCount(0);
    assertThat(phone.getByText("after the sleep").first()).isVisible();
    assertThat(goals(model)).containsExactly("after the sleep");
    phone.close();
  }

  @Test
  void theWorkGoesOnOutOfReachStepByStep() {
    Page phone = phone("Bench");
    phone.navigate(network() + "models/1/adjust");
    Story.button(phone, say("adjustment.planView.startAtBench")).click();
    Locator step = phone.locator("[data-step]");
    assertThat(step).isVisible();
    phone.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
    outOfReach();

    Locator counter = phone.getByText(begins("adjustment.workOrderView.progress"));
    int marked = 0;
    while (marked < 2) {
      if ("CHECK".equals(step.getAttribute("data-step"))) {
        // Nobody passes a rod without saying what came of turning it, out of reach as well.
        assertThat(Story.button(phone, say("adjustment.workOrderView.next"))).isDisabled();
        Story.button(phone, say("adjustment.markPanel.atTheMark")).click();
        assertThat(phone.locator("[data-marked]")).isVisible();
        marked++;
      }
      String before = counter.innerText().split(",")[0];
      Story.button(phone, say("adjustment.workOrderView.next")).click();
      assertThat(counter).not().containsText(before + ",");
    }
    int at = Integer.parseInt(counter.innerText().replaceAll("^\\D*(\\d+).*", "$1")) - 1;
    assertThat(phone.locator("[data-away]")).isVisible();

    started();
    assertThat(phone.locator("[data-away], [data-sending]")).hasCount(0);
    assertThat(phone.locator("[data-refused]")).hasCount(0);
    assertThat(counter).containsText(begins("adjustment.workOrderView.progress", "step", at + 1));
    JsonNode order = Models.call(app, "GET", "api/aircraft/1/adjustment", null);
    assertThat(order.get("step").asInt()).isEqualTo(at);
    assertThat(order.get("marks")).hasSize(2);
    phone.close();
  }

  @Test
  void twoPhonesAndADeskWorkOnOneModel() {
    long model = Models.planted(app, 1, setup -> setup.put("name", "Knot"));
    Page desk = desk("models/" + model + "/fly/new");
    Page one = phone("One");
    Page two = phone("Two");
    for (Page page : List.of(one, two)) {
      page.navigate(network() + "models/" + model + "/fly/new");
      assertThat(Story.button(page, say("flightlog.flightEntryPage.save"))).isVisible();
    }
    // Both fly, and the desk as well: three flights, none lost.
    fly(one, "from one");
    fly(two, "from two");
    fly(desk, "from the computer");
    assertThat(goals(model)).containsExactly("from one", "from two", "from the computer");

    // A check begun on one phone is gone on with on the other; the first sees it without asking.
    one.navigate(network() + "models/" + model + "/fly/checks");
    one.locator("[data-begin=FLIGHT]").click();
    assertThat(one.locator("[data-check-step=parts]")).isVisible();
    two.navigate(network() + "models/" + model + "/fly/checks");
    two.getByRole(AriaRole.LINK, Story.named(say("preflight.checksPage.continue"))).click();
    Story.button(two, say("preflight.checkRunPage.asItShouldBe")).click();
    assertThat(two.locator("[data-check-step=parts]")).hasCount(0);
    Story.button(one, say("preflight.checkRunPage.asItShouldBe")).click();
    assertThat(one.locator("[data-check-step=parts]")).hasCount(0);

    // Two changes of one revision: the second is told, and keeps what it typed.
    desk.navigate(app.address() + "models/" + model + "/rig");
    two.navigate(network() + "models/" + model + "/rig");
    desk.getByLabel(say("field.Linkage.hornRadiusMm")).fill("16.5");
    two.getByLabel(say("field.Linkage.hornRadiusMm")).fill("17");
    for (Page page : List.of(desk, two)) {
      assertThat(page.getByText(say("aircraft.draftBar.unsaved", "past", 1))).isVisible();
    }
    saved(desk, "At the desk");
    assertThat(desk.getByText(like("aircraft.draftBar.unsaved"))).hasCount(0);
    saved(two, "On the phone");
    assertThat(two.getByLabel(say("field.Linkage.hornRadiusMm"))).hasValue("17");
    JsonNode newest = Models.call(app, "GET", "api/aircraft/" + model, null).get("newest");
    assertThat(newest.get("reason").asText()).isEqualTo("At the desk");
    for (Page page : List.of(desk, one, two)) {
      page.close();
    }
  }

  private static void saved(Page page, String reason) {
    page.getByLabel(say("aircraft.draftBar.reason")).fill(reason);
    Story.button(page, begins("aircraft.draftBar.save")).click();
  }
}
