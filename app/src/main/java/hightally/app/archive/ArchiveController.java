package hightally.app.archive;

import hightally.app.aircraft.Hangar;
import hightally.app.archive.Archives.BroughtBack;
import hightally.app.archive.Archives.Contents;
import io.swagger.v3.oas.annotations.Operation;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Everything in one file: written, looked into, brought back. */
@RestController
@RequestMapping("/api/archive")
class ArchiveController {
  private static final String ZIP = "application/zip";

  private final Archives archives;
  private final Backups backups;
  private final ArchiveWriter writer;
  private final Clock clock;
  private final Hangar hangar;

  ArchiveController(
      Archives archives, Backups backups, ArchiveWriter writer, Hangar hangar, Clock clock) {
    this.hangar = hangar;
    this.archives = archives;
    this.backups = backups;
    this.writer = writer;
    this.clock = clock;
  }

  @GetMapping(produces = ZIP)
  @Operation(summary = "All models with everything that belongs to them, as one file")
  ResponseEntity<byte[]> all() throws IOException, SQLException {
    ByteArrayOutputStream whole = new ByteArrayOutputStream();
    writer.write(whole, clock.instant());
    LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
    return ResponseEntity.ok()
        .headers(saved("high-tally-" + today + ".zip"))
        .body(whole.toByteArray());
  }

  @GetMapping(value = "/models/{id}", produces = ZIP)
  @Operation(
      summary =
          "One model as it lies in the data, also where it cannot be read, as an archive of its own")
  ResponseEntity<byte[]> one(@PathVariable long id) throws IOException, SQLException {
    hangar.name(id);
    ByteArrayOutputStream whole = new ByteArrayOutputStream();
    writer.write(whole, clock.instant(), id);
    return ResponseEntity.ok()
        .headers(saved("high-tally-model-" + id + ".zip"))
        .body(whole.toByteArray());
  }

  private static HttpHeaders saved(String name) {
    HttpHeaders headers = new HttpHeaders();
    headers.setContentDisposition(ContentDisposition.attachment().filename(name).build());
    headers.setContentType(MediaType.parseMediaType(ZIP));
    return headers;
  }

  @GetMapping("/backups")
  @Operation(summary = "The archives the program has written by itself, the newest first")
  List<Backups.Backup> backups() throws IOException {
    return backups.all();
  }

  @GetMapping(value = "/backups/{name}", produces = ZIP)
  @Operation(summary = "One of them")
  ResponseEntity<Resource> backup(@PathVariable String name) {
    return ResponseEntity.ok()
        .headers(saved(name))
        .body(new FileSystemResource(backups.file(name)));
  }

  @PostMapping(value = "/look", consumes = ZIP)
  @Operation(summary = "What an archive holds, and which of it the hangar has; stores nothing")
  Contents look(@RequestBody Resource archive) throws IOException, SQLException {
    Path file = received(archive);
    try {
      return archives.look(file);
    } finally {
      Files.deleteIfExists(file);
    }
  }

  @PostMapping(value = "/bring", consumes = ZIP)
  @Operation(
      summary =
          "Models of an archive brought back, and practice that belongs to none, all of it or"
              + " nothing; the hangar's own are never touched")
  List<BroughtBack> bring(
      @RequestBody Resource archive,
      @RequestParam(defaultValue = "") Set<Long> chosen,
      @RequestParam(defaultValue = "") Set<Long> beside,
      @RequestParam(defaultValue = "false") boolean practice)
      throws IOException, SQLException {
    Path file = received(archive);
    try {
      return archives.bring(file, new Archives.Wanted(chosen, beside, practice));
    } finally {
      Files.deleteIfExists(file);
    }
  }

  private static Path received(Resource archive) throws IOException {
    Path file = Files.createTempFile("high-tally-", ".zip");
    try (InputStream in = archive.getInputStream()) {
      Files.copy(in, file, StandardCopyOption.REPLACE_EXISTING);
    }
    return file;
  }
}
