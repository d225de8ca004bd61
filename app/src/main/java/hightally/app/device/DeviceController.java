package hightally.app.device;

import hightally.app.device.AccessCodes.Code;
import hightally.app.device.Devices.Device;
import hightally.app.platform.LocalNetwork;
import hightally.app.platform.Refusals;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletRequest;
import java.security.Principal;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseCookie;
import org.springframework.http.ResponseEntity;
import org.springframework.web.ErrorResponseException;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Letting phones and tablets in, and sending them away. */
@RestController
@RequestMapping("/api/devices")
class DeviceController {
  private static final int NAME_LONGEST = 60;
  private static final int CODE_LONGEST = 20;

  private final AccessCodes codes;
  private final Devices devices;
  private final LocalNetwork network;
  private final Refusals refusals;

  /**
   * Who is let in.
   *
   * @param open whether the program answers on the local network
   * @param pages where a device finds the page
   */
  record Doorway(boolean open, List<String> pages, List<Device> devices) {}

  /**
   * Who asks.
   *
   * @param host whether it is the machine the program runs on
   * @param device the name it was let in under; empty where it was not
   */
  record Here(boolean host, String device) {}

  /** What a device brings to be let in. */
  record Knock(String code, String name) {}

  DeviceController(AccessCodes codes, Devices devices, LocalNetwork network, Refusals refusals) {
    this.refusals = refusals;
    this.codes = codes;
    this.devices = devices;
    this.network = network;
  }

  @GetMapping
  @Operation(summary = "Whether the program answers on the local network, and who was let in")
  Doorway all() {
    return new Doorway(network.isOpen(), network.pages(), devices.all());
  }

  @GetMapping("/here")
  @Operation(summary = "Who asks: the machine the program runs on, or a device")
  Here here(Principal asking) {
    boolean host = asking instanceof Requester visitor && visitor.device() == null;
    return new Here(host, asking instanceof Requester && !host ? asking.getName() : "");
  }

  @PostMapping("/code")
  @Operation(
      summary = "A code that lets one device in, once, within five minutes; the one before is void")
  Code code() {
    if (!network.isOpen()) {
      throw refusal(HttpStatus.CONFLICT, Said.of("refused.noPhones"));
    }
    return codes.make();
  }

  @PostMapping("/let-in")
  @Operation(summary = "Lets the asking device in; answers with a cookie it is known by from then")
  ResponseEntity<Here> letIn(@RequestBody Knock knock, HttpServletRequest request) {
    String name = text("name", knock.name(), NAME_LONGEST);
    String code = text("code", knock.code(), CODE_LONGEST);
    String address = request.getRemoteAddr();
    AccessCodes.Tried tried = codes.use(code, address);
    if (tried == AccessCodes.Tried.TOO_SOON) {
      throw tooSoon(codes.secondsLeft(address));
    }
    if (tried == AccessCodes.Tried.WRONG) {
      throw refusal(HttpStatus.FORBIDDEN, Said.of("refused.wrongCode"));
    }
    Devices.LetIn done = devices.letIn(name, address);
    ResponseCookie cookie =
        ResponseCookie.from(DeviceAccessFilter.COOKIE, done.word())
            .httpOnly(true)
            .sameSite("Strict")
            .path("/")
            .maxAge(Devices.KNOWN_FOR)
            .build();
    return ResponseEntity.ok()
        .header(HttpHeaders.SET_COOKIE, cookie.toString())
        .header(HttpHeaders.CACHE_CONTROL, "no-store")
        .body(new Here(false, name));
  }

  private static String text(String field, String given, int longest) {
    String text = given == null ? "" : given.strip();
    if (text.isEmpty() || text.length() > longest) {
      throw InvalidInputException.of(
          field, text, Said.of("demand.textOfLength", "min", 1, "max", longest));
    }
    return text;
  }

  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Operation(summary = "Sends a device away: its cookie is good no longer")
  void sendAway(@PathVariable long id) {
    devices.sendAway(id);
  }

  private ErrorResponseException tooSoon(long seconds) {
    ErrorResponseException refused =
        refusal(
            HttpStatus.TOO_MANY_REQUESTS,
            Said.of("refused.tooSoon", "seconds", String.valueOf(seconds)));
    refused.getHeaders().set(HttpHeaders.RETRY_AFTER, Long.toString(seconds));
    return refused;
  }

  private ErrorResponseException refusal(HttpStatus status, Said why) {
    return new ErrorResponseException(status, refusals.problem(status, why), null);
  }
}
