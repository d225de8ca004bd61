package hightally.app.archive;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import java.io.IOException;
import java.nio.file.Path;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;

/** Reads an archive's files, one at a time, none larger than it may be. */
final class ArchiveReader implements AutoCloseable {
  /** The largest model read, bytes: thousands of flights and hundreds of revisions. */
  private static final long LARGEST = 300_000_000;

  private final ZipFile zip;
  private final ObjectMapper mapper;

  ArchiveReader(Path file, ObjectMapper mapper) throws IOException {
    this.mapper = mapper;
    try {
      zip = new ZipFile(file.toFile());
    } catch (ZipException e) {
      throw refused(Said.of("demand.archiveZip"));
    }
  }

  /** What it says of itself. */
  JsonNode about() throws IOException {
    JsonNode about = read(ArchiveWriter.ABOUT);
    int format = about.path("format").asInt();
    if (format < 1 || format > ArchiveWriter.FORMAT || !about.path("models").isArray()) {
      throw refused(Said.of("demand.archiveFormat", "most", ArchiveWriter.FORMAT));
    }
    return about;
  }

  /** Everything of one model: a list of rows for each table. */
  ObjectNode model(long number) throws IOException {
    return read(ArchiveWriter.MODELS + number + ".json");
  }

  /** Practice that belongs to no model. */
  ObjectNode practice() throws IOException {
    return read(ArchiveWriter.SCHOOL);
  }

  private ObjectNode read(String name) throws IOException {
    ZipEntry entry = zip.getEntry(name);
    if (entry == null) {
      throw refused(Said.of("demand.archiveHolds", "file", name));
    }
    byte[] content;
    try (var in = zip.getInputStream(entry)) {
      content = in.readNBytes((int) Math.min(LARGEST + 1, Integer.MAX_VALUE - 8));
    } catch (ZipException e) {
      throw refused(Said.of("demand.archiveZip"));
    }
    if (content.length > LARGEST) {
      throw refused(Said.of("demand.archiveHolds", "file", name));
    }
    if (mapper.readTree(content) instanceof ObjectNode found) {
      return found;
    }
    throw refused(Said.of("demand.archiveHolds", "file", name));
  }

  private static InvalidInputException refused(Said requirement) {
    return InvalidInputException.of("archive", Said.of("given.file"), requirement);
  }

  @Override
  public void close() throws IOException {
    zip.close();
  }
}
