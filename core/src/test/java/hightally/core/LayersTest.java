package hightally.core;

import static com.tngtech.archunit.base.DescribedPredicate.describe;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.Architectures;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The core is plain Java, and its packages import only those before them in the list. */
@AnalyzeClasses(packages = "hightally.core", importOptions = ImportOption.DoNotIncludeTests.class)
class LayersTest {
  private static final String[] UPWARDS = {
    "quantity",
    "linkage",
    "airframe",
    "channel",
    "program",
    "setup",
    "balance",
    "signal",
    "edit",
    "sheet",
    "wiring",
    "audit",
    "trimming",
    "flightlog",
    "adjustment",
    "probe",
    "benchsetup",
    "hazard",
    "movement",
    "preflight",
    "history",
    "simulator",
    "words"
  };

  private static final Set<String> PARTS_OF_TEXTS =
      Set.of(
          "startsWith",
          "endsWith",
          "contains",
          "split",
          "replace",
          "replaceAll",
          "replaceFirst",
          "matches",
          "indexOf",
          "format",
          "formatted");

  /** Annotations for the compiler are nothing at run time. */
  @ArchTest
  static final ArchRule PLAIN_JAVA =
      noClasses()
          .that()
          .resideOutsideOfPackage("hightally.core.words..")
          .should()
          .dependOnClassesThat()
          .resideOutsideOfPackages("java..", "hightally.core..", "io.soabase.recordbuilder..");

  @ArchTest
  static final ArchRule WORDS_ARE_MADE_LAST =
      noClasses()
          .that()
          .resideOutsideOfPackage("hightally.core.words..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("hightally.core.words..");

  /**
   * Texts are made in words alone, and nothing is decided by a part of one. What makes ids out of
   * names, and checks how long a text is, is named here.
   */
  @ArchTest
  static final ArchRule NOTHING_IS_READ_OUT_OF_TEXTS =
      noClasses()
          .that()
          .resideOutsideOfPackage("hightally.core.words..")
          .and()
          .doNotHaveFullyQualifiedName("hightally.core.edit.PartNames")
          .and()
          .doNotHaveFullyQualifiedName("hightally.core.benchsetup.StepName")
          .should()
          .callMethodWhere(
              describe(
                  "a part of a text is looked at or a text is formatted",
                  call ->
                      call.getTargetOwner().isEquivalentTo(String.class)
                          && PARTS_OF_TEXTS.contains(call.getName())));

  @ArchTest static final ArchRule ONLY_UPWARDS = onlyUpwards();

  @Test
  void everyPackageIsInTheListAndSaysWhatItIs() throws IOException {
    Path sources = Path.of("src/main/java/hightally/core");
    try (Stream<Path> packages = Files.list(sources)) {
      assertThat(packages)
          .allSatisfy(one -> assertThat(one.resolve("package-info.java")).isNotEmptyFile())
          .extracting(one -> one.getFileName().toString())
          .containsExactlyInAnyOrder(UPWARDS);
    }
  }

  private static ArchRule onlyUpwards() {
    Architectures.LayeredArchitecture layers =
        Architectures.layeredArchitecture().consideringOnlyDependenciesInLayers();
    for (String name : UPWARDS) {
      layers = layers.layer(name).definedBy("hightally.core." + name + "..");
    }
    for (int i = 0; i < UPWARDS.length; i++) {
      String[] below = java.util.Arrays.copyOf(UPWARDS, i);
      layers =
          i == 0
              ? layers.whereLayer(UPWARDS[i]).mayNotAccessAnyLayer()
              : layers.whereLayer(UPWARDS[i]).mayOnlyAccessLayers(below);
    }
    return layers;
  }
}
