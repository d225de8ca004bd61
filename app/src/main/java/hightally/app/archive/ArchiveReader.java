package hightally.app.archive;

import com.fasterxml.jackson.core.JacksonException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;

/** Reads an archive's files, one at a time, none larger than it may be. */
final class ArchiveReader implements AutoCloseable {
  /** The largest model read, bytes: thousands of flights and hundreds of revisions. */
  private static final int LARGEST = 80_000_000;

  /** All of it unpacked, bytes. */
  private static final long LARGEST_IN_ALL = 1_000_000_000;

  private static final int MOST_FILES = 5_000;
  private static final Pattern MODEL =
      Pattern.compile(ArchiveWriter.MODELS + "([1-9][0-9]{0,15})\\.json");

  private static final long MEGA = 1_000_000;

  private final ZipFile zip;
  private final ObjectMapper mapper;

  ArchiveReader(Path file, ObjectMapper mapper) throws IOException {
    this.mapper = mapper;
    try {
      zip = new ZipFile(file.toFile());
    } catch (ZipException e) {
      throw refused(Said.of("demand.archiveZip"));
    }
    long unpacked = zip.stream().mapToLong(ZipEntry::getSize).sum();
    if (zip.size() > MOST_FILES || unpacked > LARGEST_IN_ALL) {
      zip.close();
      throw refused(
          Said.of("demand.archiveSize", "files", MOST_FILES, "megabytes", LARGEST_IN_ALL / MEGA));
    }
  }

  /** Numbers of the models it has files of. */
  Set<Long> models() throws IOException {
    Set<Long> found = new TreeSet<>();
    zip.stream()
        .map(one -> MODEL.matcher(one.getName()))
        .filter(Matcher::matches)
        .forEach(one -> found.add(Long.valueOf(one.group(1))));
    about().path("models").forEach(one -> found.add(one.path("number").asLong()));
    return found;
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
    if (entry.getSize() > LARGEST) {
      throw tooLarge(name);
    }
    byte[] content;
    try (var in = zip.getInputStream(entry)) {
      content = in.readNBytes(LARGEST + 1);
    } catch (ZipException e) {
      throw refused(Said.of("demand.archiveZip"));
    }
    if (content.length > LARGEST) {
      throw tooLarge(name);
    }
    try {
      if (mapper.readTree(content) instanceof ObjectNode found) {
        return found;
      }
    } catch (JacksonException e) {
      throw refused(Said.of("demand.archiveHolds", "file", name));
    }
    throw refused(Said.of("demand.archiveHolds", "file", name));
  }

  private static InvalidInputException tooLarge(String name) {
    return refused(Said.of("demand.archiveFileSize", "file", name, "megabytes", LARGEST / MEGA));
  }

  private static InvalidInputException refused(Said requirement) {
    return InvalidInputException.of("archive", Said.of("given.file"), requirement);
  }

  @Override
  public void close() throws IOException {
    zip.close();
  }
}
