package hightally.app.transfer;

import com.fasterxml.jackson.core.JacksonException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.ObjectReader;
import com.fasterxml.jackson.databind.ObjectWriter;
import com.fasterxml.jackson.databind.util.TokenBuffer;
import com.fasterxml.jackson.dataformat.yaml.YAMLFactory;
import hightally.app.platform.JsonProblems;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.springframework.stereotype.Component;

/** Setups as text: what is stored, what a file holds, what the API carries. */
@Component
public class SetupDocuments {
  /** A setup of the largest aircraft is a tenth of this. */
  public static final int LARGEST_CHARACTERS = 1_000_000;

  private final ObjectMapper mapper;
  private final ObjectReader reader;
  private final ObjectReader yaml;
  private final ObjectWriter writer;

  SetupDocuments(ObjectMapper mapper) {
    this.mapper = mapper;
    reader = mapper.reader();
    yaml = mapper.reader().with(new YAMLFactory());
    writer = mapper.writerFor(Setup.class).withDefaultPrettyPrinter();
  }

  /** The setup as JSON. */
  public String write(Setup setup) {
    try {
      return writer.writeValueAsString(setup);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * A setup from JSON or YAML.
   *
   * @throws InvalidInputException naming the place that is wrong
   */
  public Setup read(String text) {
    if (text.length() > LARGEST_CHARACTERS) {
      throw InvalidInputException.of(
          "the file",
          Said.of("given.size", "count", text.length()),
          Said.of("demand.mostOf", "least", LARGEST_CHARACTERS));
    }
    try {
      JsonNode tree = (text.stripLeading().startsWith("{") ? reader : yaml).readTree(text);
      checkVersion(tree);
      TokenBuffer tokens = new TokenBuffer(mapper, false);
      mapper.writeTree(tokens, SetupUpgrade.of(mapper, tree));
      return Validation.check(mapper.readValue(tokens.asParser(), Setup.class));
    } catch (JacksonException e) {
      throw JsonProblems.explained(e);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Told first, since a newer document may differ everywhere else. */
  private static void checkVersion(JsonNode tree) {
    if (!tree.isObject()) {
      throw InvalidInputException.of(
          "the file", Said.of("given.notASetup"), Said.of("demand.highTallySetup"));
    }
    JsonNode version = tree.get("formatVersion");
    if (version == null || !version.isInt()) {
      Object found = version == null ? Said.of("given.missing") : version.toString();
      throw InvalidInputException.of("formatVersion", found, Said.of("demand.aSetup"));
    }
    if (version.intValue() > Setup.FORMAT_VERSION) {
      throw InvalidInputException.of(
          "formatVersion", version, Said.of("demand.knownFormat", "fewest", Setup.FORMAT_VERSION));
    }
  }
}
