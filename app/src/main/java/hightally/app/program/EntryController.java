package hightally.app.program;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import hightally.app.words.SaidData;
import hightally.core.channel.Transmitter;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import hightally.core.sheet.EntrySheet;
import hightally.core.wiring.TransmitterMove;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Entry sheets: what to type into a transmitter, and what was. */
@RestController
class EntryController {
  private final EntryList list;

  EntryController(EntryList list) {
    this.list = list;
  }

  /** A design, and the transmitter of its own or a second one it shall be typed into. */
  record SheetAsked(Setup setup, Transmitter transmitter) {}

  /**
   * A sheet for one transmitter of one model.
   *
   * @param entries every value; {@code before} is what was last typed in
   * @param notes what the transmitter cannot give, or what was assumed
   */
  record SheetFor(String transmitter, List<EntryLine> entries, List<Said> notes) {}

  /**
   * A value of the sheet.
   *
   * @param entry in words
   * @param data the value as data: what is sent back to tick it off
   */
  record EntryLine(@JsonUnwrapped EntrySheet.Entry entry, String data) {
    static EntryLine of(EntrySheet.Entry entry) {
      return new EntryLine(entry, SaidData.write(entry.value()));
    }
  }

  @PostMapping("/api/aircraft/{aircraftId}/entry-sheet")
  @Operation(summary = "Every value to type into a transmitter, with what was last typed in")
  SheetFor sheet(@PathVariable long aircraftId, @RequestBody SheetAsked asked) {
    Setup setup = Validation.check(asked.setup());
    List<Said> notes = List.of();
    if (!asked.transmitter().equals(setup.transmitter())) {
      TransmitterMove.Moved moved = TransmitterMove.of(setup, asked.transmitter());
      setup = moved.setup();
      notes = moved.notes();
    }
    String name = setup.transmitter().name();
    return new SheetFor(
        name,
        list.beside(aircraftId, name, EntrySheet.of(setup)).stream().map(EntryLine::of).toList(),
        notes);
  }

  @GetMapping("/api/aircraft/{aircraftId}/entered")
  @Operation(summary = "What was ticked off as typed into a transmitter")
  List<EntryList.EnteredValue> entered(
      @PathVariable long aircraftId, @RequestParam String transmitter) {
    return list.of(aircraftId, transmitter);
  }

  @GetMapping("/api/aircraft/{aircraftId}/typed-changes")
  @Operation(
      summary = "What was changed in the model's transmitters: from what to what, newest first")
  List<EntryList.TypedChange> changes(@PathVariable long aircraftId) {
    return list.changes(aircraftId);
  }

  @PostMapping("/api/aircraft/{aircraftId}/typed-changes/{changeId}/back")
  @Operation(summary = "Notes that what stood there before has been typed in again")
  List<EntryList.TypedChange> back(@PathVariable long aircraftId, @PathVariable long changeId) {
    return list.back(aircraftId, changeId);
  }

  @PutMapping("/api/aircraft/{aircraftId}/entered")
  @Operation(summary = "Ticks values off as typed in, or takes the tick back with an empty value")
  List<EntryList.EnteredValue> tick(
      @PathVariable long aircraftId, @RequestBody List<EntryList.TickedValue> values) {
    return list.tick(aircraftId, values);
  }
}
