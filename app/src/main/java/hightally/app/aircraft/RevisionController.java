package hightally.app.aircraft;

import hightally.app.transfer.SetupDocuments;
import hightally.core.quantity.Text;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Aircraft and their revisions over HTTP. */
@RestController
@RequestMapping("/api/aircraft")
class RevisionController {
  private final Hangar hangar;
  private final SetupDocuments documents;

  RevisionController(Hangar hangar, SetupDocuments documents) {
    this.hangar = hangar;
    this.documents = documents;
  }

  /** A new aircraft: its setup and where it comes from. */
  record NewAircraft(@Text(label = "Reason", max = 300) String reason, Setup setup) {}

  /** A changed setup, the revision it was changed from, and why. */
  record NewRevision(int basedOn, @Text(label = "Reason", max = 300) String reason, Setup setup) {}

  /** The number of a new aircraft. */
  record Added(long id) {}

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  Added add(@RequestBody NewAircraft added) {
    Validation.check(added);
    return new Added(hangar.add(added.setup(), added.reason()));
  }

  @GetMapping("/{id}/revisions")
  List<Revision> revisions(@PathVariable long id) {
    return hangar.revisions(id);
  }

  @PostMapping("/{id}/revisions")
  @ResponseStatus(HttpStatus.CREATED)
  Revision revise(@PathVariable long id, @RequestBody NewRevision revised) {
    Validation.check(revised);
    return hangar.revise(id, revised.basedOn(), revised.setup(), revised.reason(), null);
  }

  @GetMapping("/{id}/revisions/{number}/file")
  ResponseEntity<String> file(@PathVariable long id, @PathVariable int number) {
    Setup setup = hangar.revision(id, number).setup();
    String name = setup.name().replaceAll("[^A-Za-z0-9]+", "-") + "-revision-" + number + ".json";
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_JSON)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(name, StandardCharsets.UTF_8)
                .build()
                .toString())
        .body(documents.write(setup));
  }
}
