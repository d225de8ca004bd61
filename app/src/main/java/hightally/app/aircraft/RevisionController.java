package hightally.app.aircraft;

import hightally.app.platform.IdempotentRequests;
import hightally.app.platform.Page;
import hightally.app.transfer.SetupDocuments;
import hightally.core.quantity.Text;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
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
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Aircraft and their revisions over HTTP. */
@RestController
@RequestMapping("/api/aircraft")
class RevisionController {
  private final Hangar hangar;
  private final SetupDocuments documents;
  private final Copies copies;

  RevisionController(Hangar hangar, SetupDocuments documents, Copies copies) {
    this.hangar = hangar;
    this.copies = copies;
    this.documents = documents;
  }

  /** A new aircraft: its setup and where it comes from. */
  record NewAircraft(@Text(max = 300) String reason, Setup setup) {}

  /** A changed setup, the revision it was changed from, and why. */
  record NewRevision(int basedOn, @Text(max = 300) String reason, Setup setup) {}

  /** The number of a new aircraft. */
  record Added(long id) {}

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(summary = "Adds an aircraft with its first revision; once for each key")
  Added add(
      @RequestHeader(name = IdempotentRequests.KEY, required = false) String key,
      @RequestBody NewAircraft added) {
    Validation.check(added);
    String once = IdempotentRequests.key(key);
    return new Added(
        IdempotentRequests.of(
            once, hangar::addedBy, () -> hangar.add(added.setup(), added.reason(), once)));
  }

  /** A copy of a model: what it is called. */
  record Copied(@Text(max = 60) String name) {}

  @PostMapping("/{id}/copy")
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(
      summary =
          "A second aircraft of the type: the newest setup under another name, with trims at zero;"
              + " flights, trims, measurements, checks and findings stay with the first")
  Added copy(
      @PathVariable long id,
      @RequestHeader(name = IdempotentRequests.KEY, required = false) String key,
      @RequestBody Copied copied) {
    Validation.check(copied);
    String once = IdempotentRequests.key(key);
    return new Added(
        IdempotentRequests.of(once, hangar::addedBy, () -> copies.of(id, copied.name(), once)));
  }

  @GetMapping("/put-away")
  @Operation(summary = "Models that are set aside, and those deleted within a month")
  List<PutAway> putAway() {
    return hangar.putAway();
  }

  /** Where a model is put. */
  record Put(Place place) {}

  @PutMapping("/{id}/place")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Operation(
      summary =
          "Sets a model aside, deletes it with a way back for 30 days, or brings it back; refused"
              + " while rods are being turned")
  void put(@PathVariable long id, @RequestBody Put put) {
    hangar.put(id, put.place());
  }

  @GetMapping("/{id}/revisions")
  @Operation(summary = "The revisions of an aircraft, newest first, without their setups")
  Page<RevisionHeader> revisions(
      @PathVariable long id,
      @RequestParam(defaultValue = "0") int page,
      @RequestParam(defaultValue = "50") int size) {
    return hangar.headers(id, new Page.Asked(page, size));
  }

  @GetMapping("/{id}/revisions/{number}")
  @Operation(summary = "One revision with its setup")
  Revision revision(@PathVariable long id, @PathVariable int number) {
    return hangar.revision(id, number);
  }

  @PostMapping("/{id}/revisions")
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(
      summary =
          "Saves a new revision; refused if another was saved since, or rods are being turned")
  Revision revise(@PathVariable long id, @RequestBody NewRevision revised) {
    Validation.check(revised);
    return hangar.revise(id, revised.basedOn(), revised.setup(), revised.reason());
  }

  /** Whether it flew well. */
  record WellFlown(boolean flewWell) {}

  @PutMapping("/{id}/revisions/{number}/flew-well")
  @Operation(summary = "Marks a revision as one that flew well, or takes the mark away")
  RevisionHeader flewWell(
      @PathVariable long id, @PathVariable int number, @RequestBody WellFlown marked) {
    return hangar.flewWell(id, number, marked.flewWell());
  }

  @GetMapping("/{id}/revisions/{number}/file")
  @Operation(
      summary = "The setup of a revision as a file",
      responses =
          @ApiResponse(
              responseCode = "200",
              content =
                  @Content(
                      mediaType = "application/json",
                      schema = @Schema(implementation = Setup.class))))
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
