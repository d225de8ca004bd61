package hightally.app.transfer;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.core.airframe.Panel;
import hightally.core.airframe.PanelRole;
import hightally.core.airframe.Surface;
import hightally.core.airframe.SurfaceRole;
import hightally.core.program.PhaseRole;
import hightally.core.setup.Setup;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What an older file's names are taken for, and that they are said to be taken. */
class RolesOfOlderFilesTest {
  private static final Path OLDER = Path.of("src/test/resources/older/format-4");
  private static final ObjectMapper JSON = new ObjectMapper();

  private static Setup read(String name) throws IOException {
    return new SetupDocuments(JSON).read(Files.readString(OLDER.resolve(name + ".json")));
  }

  static Stream<Path> files() throws IOException {
    return Files.list(OLDER);
  }

  /** The demo models and kinds of today say what their older files are taken for. */
  @ParameterizedTest
  @MethodSource("files")
  void everyModelGetsTheRolesItShipsWith(Path file) throws IOException {
    Setup older = new SetupDocuments(JSON).read(Files.readString(file));
    assertThat(older.notebook().rolesFromNames()).isTrue();
    Path resources = Path.of("src/main/resources");
    Path demo = resources.resolve("demo").resolve(file.getFileName());
    Path kind = resources.resolve("kinds").resolve(file.getFileName());
    Setup now = JSON.readValue((Files.exists(demo) ? demo : kind).toFile(), Setup.class);
    assertThat(older.surfaces()).extracting(Surface::role).isEqualTo(roles(now));
    assertThat(older.surfaces())
        .extracting(Surface::pair)
        .isEqualTo(now.surfaces().stream().map(Surface::pair).toList());
    // Where a panel lies may have been put right since; what it is and whose pair stays.
    assertThat(told(older.airframe().panels())).isEqualTo(told(now.airframe().panels()));
    assertThat(now.notebook().rolesFromNames()).isFalse();
  }

  /** A steered wheel ahead of the balance point is a nose wheel, which is to be looked at once. */
  @ParameterizedTest
  @CsvSource({"steered-wheel, NOSE_WHEEL, true", "brindle, TAIL_WHEEL, false"})
  void aSteeredWheelIsToldByWhereItStands(String name, SurfaceRole role, boolean looked)
      throws IOException {
    Path file = OLDER.resolveSibling("format-9").resolve(name + ".json");
    Setup setup = new SetupDocuments(JSON).read(Files.readString(file));
    assertThat(roles(setup).stream().filter(SurfaceRole::wheel)).containsExactly(role);
    assertThat(setup.notebook().rolesFromNames()).isEqualTo(looked);
  }

  private static List<SurfaceRole> roles(Setup setup) {
    return setup.surfaces().stream().map(Surface::role).toList();
  }

  @Test
  void phasesAreTakenFromWhatTheyAreCalled() throws IOException {
    assertThat(read("larkmere").phases())
        .extracting(one -> one.role())
        .containsExactly(
            PhaseRole.LANDING,
            PhaseRole.SPEED,
            PhaseRole.THERMAL,
            PhaseRole.THERMAL,
            PhaseRole.CRUISE);
  }

  /** Where a name says nothing, what the surface does is asked. */
  @ParameterizedTest
  @CsvSource({
    "0.5, 0, 0, false, AILERON",
    "0.5, 0.5, 0, false, ELEVON",
    "0, 1, 0, false, ELEVATOR",
    "0, 0.5, 0.5, false, V_TAIL",
    "0, 0, 1, true, RUDDER",
    "0.5, 0, 0, true, OTHER",
    "0, 0, 0, false, OTHER"
  })
  void aNameThatSaysNothing(
      double roll, double pitch, double yaw, boolean sideways, SurfaceRole role) {
    ObjectNode surface = JSON.createObjectNode();
    surface.put("id", "q7").put("name", "Q seven").put("side", "LEFT").put("sideways", sideways);
    surface.putObject("shares").put("roll", roll).put("pitch", pitch).put("yaw", yaw);
    RolesFromNames.ofSurfaces(List.of(surface));
    assertThat(surface.path("role").asText()).isEqualTo(role.name());
    assertThat(surface.path("pair").asText()).isEmpty();
  }

  @Test
  void twoOnTheSameSideAreNoPair() {
    ObjectNode one =
        JSON.createObjectNode().put("id", "flap-left").put("name", "").put("side", "LEFT");
    ObjectNode two =
        JSON.createObjectNode().put("id", "flap-right").put("name", "").put("side", "LEFT");
    RolesFromNames.ofSurfaces(List.of(one, two));
    assertThat(one.path("pair").asText()).isEmpty();
    two.put("side", "RIGHT");
    RolesFromNames.ofSurfaces(List.of(one, two));
    assertThat(one.path("pair").asText()).isEqualTo("flap-right");
    assertThat(two.path("pair").asText()).isEqualTo("flap-left");
  }

  @Test
  void panelsOfTheOldestFilesAreKnownToo() throws IOException {
    Setup first =
        new SetupDocuments(JSON).read(Files.readString(OLDER.resolveSibling("format-1.json")));
    assertThat(first.airframe().panels()).extracting(Panel::role).doesNotContain((PanelRole) null);
    assertThat(first.notebook().rolesFromNames()).isTrue();
  }

  private static List<String> told(List<Panel> panels) {
    return panels.stream().map(one -> one.id() + " " + one.role() + " " + one.pair()).toList();
  }
}
