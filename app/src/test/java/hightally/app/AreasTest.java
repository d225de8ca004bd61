package hightally.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The core knows nothing of the application, and the application's areas form no loops. */
@AnalyzeClasses(packages = "hightally", importOptions = ImportOption.DoNotIncludeTests.class)
class AreasTest {
  @ArchTest
  static final ArchRule CORE_STANDS_ALONE =
      noClasses()
          .that()
          .resideInAPackage("hightally.core..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("hightally.app..");

  @ArchTest
  static final ArchRule NO_LOOPS =
      slices().matching("hightally.app.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule ENTITIES_STAY_IN_THEIR_AREA =
      noClasses().that().haveSimpleNameEndingWith("Entity").should().bePublic();

  @Test
  void everyAreaSaysWhatItIs() throws IOException {
    try (Stream<Path> areas = Files.list(Path.of("src/main/java/hightally/app"))) {
      assertThat(areas.filter(Files::isDirectory))
          .isNotEmpty()
          .allSatisfy(one -> assertThat(one.resolve("package-info.java")).isNotEmptyFile());
    }
  }
}
