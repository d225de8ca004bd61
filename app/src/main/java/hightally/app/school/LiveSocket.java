package hightally.app.school;

import com.fasterxml.jackson.core.JacksonException;
import com.fasterxml.jackson.databind.ObjectMapper;
import hightally.app.platform.ConflictException;
import hightally.app.platform.JsonProblems;
import hightally.app.platform.NotFoundException;
import hightally.app.words.ReaderWords;
import hightally.core.program.Phase;
import hightally.core.program.Trims;
import hightally.core.quantity.Absentable;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Validation;
import hightally.core.quantity.Violation;
import hightally.core.quantity.Within;
import hightally.core.simulator.LiveFlight;
import hightally.core.simulator.Practice;
import hightally.core.simulator.Wireframe;
import java.io.IOException;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.handler.TextWebSocketHandler;

/**
 * Hands-off trimming, live: the page says which practice, then again and again how much time has
 * passed and how the trims stand; every message is answered with where the model has flown.
 */
@Component
class LiveSocket extends TextWebSocketHandler {
  private static final Logger LOG = LoggerFactory.getLogger(LiveSocket.class);
  private static final String SESSION = "live";
  private static final Violation FAULT =
      Violation.of("live", Said.of("given.atFault"), Said.of("demand.reloaded"));

  private final ObjectMapper mapper;
  private final ReaderWords words;
  private final School school;

  LiveSocket(ObjectMapper mapper, ReaderWords words, School school) {
    this.mapper = mapper;
    this.words = words;
    this.school = school;
  }

  /**
   * What the page says.
   *
   * @param begin number of the practice; 0 to fly on
   * @param phase id of the phase to fly in; empty for the one that is on when no other is
   * @param seconds that have passed
   * @param held whether the pilot holds it level
   */
  record Asked(
      @Within(min = 0, max = Long.MAX_VALUE) long begin,
      String phase,
      @Within(min = 0, max = 1) double seconds,
      Trims trims,
      boolean held) {}

  /** What it answers: the flight, at the beginning with the outlines, or what was wrong. */
  record Answered(
      @Absentable LiveFlight.Answer flight,
      @Absentable Said words,
      List<Wireframe.Outline> frame,
      List<Violation> violations) {}

  @Override
  protected void handleTextMessage(WebSocketSession session, TextMessage message)
      throws IOException {
    Answered answer = answer(session, message);
    try {
      byte[] text = words.forReader(session, () -> mapper.writeValueAsBytes(answer));
      session.sendMessage(new TextMessage(text));
    } catch (IOException e) {
      throw e;
    } catch (Exception e) {
      throw new IllegalStateException("An answer that is data could not be written", e);
    }
  }

  private Answered answer(WebSocketSession session, TextMessage message) {
    try {
      Asked sent = mapper.readValue(message.getPayload(), Asked.class);
      if (sent == null) {
        throw InvalidInputException.of("live", Said.of("given.missing"), Said.of("demand.given"));
      }
      Asked asked = Validation.check(sent);
      return asked.begin() > 0 ? begin(session, asked) : fly(session, asked);
    } catch (JacksonException e) {
      return new Answered(null, null, List.of(), JsonProblems.explained(e).violations());
    } catch (InvalidInputException e) {
      return new Answered(null, null, List.of(), e.violations());
    } catch (NotFoundException e) {
      return refused(e.said());
    } catch (ConflictException e) {
      return refused(e.said());
    } catch (RuntimeException e) {
      LOG.error("A message to the live flight failed in a way nobody foresaw", e);
      return new Answered(null, null, List.of(), List.of(FAULT));
    }
  }

  private static Answered refused(Said why) {
    Violation told = Violation.of("begin", Said.of("given.notPossible"), why);
    return new Answered(null, null, List.of(), List.of(told));
  }

  private Answered begin(WebSocketSession session, Asked asked) {
    Practice practice = school.practice(asked.begin());
    Phase phase =
        practice.now().setup().phase(asked.phase()).orElse(practice.now().setup().basePhase());
    LiveFlight flight =
        LiveFlight.of(practice.model(), phase, practice.gusts(), asked.trims())
            .orElseThrow(
                () -> InvalidInputException.of("phase", phase.name(), Said.of("air.noTrim")));
    session.getAttributes().put(SESSION, flight);
    LiveFlight.Answer at = flight.fly(0, asked.trims(), true);
    return new Answered(at, told(at), Wireframe.of(practice.model().shape()), List.of());
  }

  private static Answered fly(WebSocketSession session, Asked asked) {
    LiveFlight flight = (LiveFlight) session.getAttributes().get(SESSION);
    if (flight == null) {
      throw InvalidInputException.of("begin", asked.begin(), Said.of("demand.beginFirst"));
    }
    LiveFlight.Answer at = flight.fly(asked.seconds(), asked.trims(), asked.held());
    return new Answered(at, told(at), List.of(), List.of());
  }

  private static Said told(LiveFlight.Answer at) {
    return Said.of(
        "school.live",
        "path",
        Math.round(Math.abs(at.path())),
        "climbs",
        at.path() > 0,
        "bank",
        Math.round(Math.abs(at.bank())),
        "right",
        at.bank() > 0,
        "stays",
        at.stays());
  }
}
