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
import java.nio.file.StandardOpenOption;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.InputStreamResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
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

  private final ArchiveWorks works;
  private final Backups backups;
  private final ArchiveWriter writer;
  private final Clock clock;
  private final Hangar hangar;

  ArchiveController(
      ArchiveWorks works, Backups backups, ArchiveWriter writer, Hangar hangar, Clock clock) {
    this.hangar = hangar;
    this.works = works;
    this.backups = backups;
    this.writer = writer;
    this.clock = clock;
  }

  @GetMapping(produces = ZIP)
  @Operation(summary = "All models with everything that belongs to them, as one file")
  ResponseEntity<Resource> all() throws IOException {
    Path file = works.saved();
    return ResponseEntity.ok()
        .headers(savedToday())
        .contentLength(Files.size(file))
        .body(
            new InputStreamResource(
                Files.newInputStream(file, StandardOpenOption.DELETE_ON_CLOSE)));
  }

  private HttpHeaders savedToday() {
    LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
    return saved("high-tally-" + today + ".zip");
  }

  @PostMapping("/works/save")
  @Operation(summary = "Begins to write all models into one file; how far it is can be asked")
  ArchiveWorks.ArchiveState save() throws IOException {
    return works.save();
  }

  @PostMapping(value = "/works/look", consumes = ZIP)
  @Operation(summary = "Begins to look into an archive; stores nothing")
  ArchiveWorks.ArchiveState beginLook(@RequestBody Resource archive) throws IOException {
    return works.look(received(archive));
  }

  @PostMapping(value = "/works/bring", consumes = ZIP)
  @Operation(
      summary = "Begins to bring models of an archive back; stopped, nothing was brought at all")
  ArchiveWorks.ArchiveState beginBring(
      @RequestBody Resource archive,
      @RequestParam(defaultValue = "") Set<Long> chosen,
      @RequestParam(defaultValue = "") Set<Long> beside,
      @RequestParam(defaultValue = "false") boolean practice)
      throws IOException {
    return works.bring(received(archive), new Archives.Wanted(chosen, beside, practice));
  }

  @GetMapping("/works/{id}")
  @Operation(summary = "How far an archive's writing, look or return is, and what came of it")
  ArchiveWorks.ArchiveState work(@PathVariable long id) {
    return works.state(id);
  }

  @DeleteMapping("/works/{id}")
  @Operation(summary = "Stops it before its next model")
  ArchiveWorks.ArchiveState stop(@PathVariable long id) {
    return works.stop(id);
  }

  @GetMapping(value = "/works/{id}/file", produces = ZIP)
  @Operation(summary = "The file that was written")
  ResponseEntity<Resource> file(@PathVariable long id) {
    return ResponseEntity.ok().headers(savedToday()).body(new FileSystemResource(works.file(id)));
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
  Contents look(@RequestBody Resource archive) throws IOException {
    return works.lookedInto(received(archive));
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
      throws IOException {
    return works.broughtBack(received(archive), new Archives.Wanted(chosen, beside, practice));
  }

  private static Path received(Resource archive) throws IOException {
    Path file = Files.createTempFile("high-tally-", ".zip");
    try (InputStream in = archive.getInputStream()) {
      Files.copy(in, file, StandardCopyOption.REPLACE_EXISTING);
    }
    return file;
  }
}
