package hightally.app.bench;

import com.fasterxml.jackson.core.JacksonException;
import com.fasterxml.jackson.databind.ObjectMapper;
import hightally.app.platform.JsonProblems;
import hightally.app.words.ReaderWords;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Violation;
import java.io.IOException;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.handler.TextWebSocketHandler;

/**
 * The live bench over a WebSocket: the page sends a setup once and then moments; every moment is
 * answered with where everything stands. One connection is served by one thread at a time, so its
 * {@link BenchSession} needs no lock.
 */
@Component
class BenchSocket extends TextWebSocketHandler {
  private static final Logger LOG = LoggerFactory.getLogger(BenchSocket.class);
  private static final String SESSION = "bench";
  private static final Violation NOTHING =
      Violation.of("bench", Said.of("given.missing"), Said.of("demand.given"));
  private static final Violation FAULT =
      Violation.of("bench", Said.of("given.atFault"), Said.of("demand.reloaded"));

  private final ObjectMapper mapper;
  private final ReaderWords words;

  BenchSocket(ObjectMapper mapper, ReaderWords words) {
    this.mapper = mapper;
    this.words = words;
  }

  @Override
  public void afterConnectionEstablished(WebSocketSession session) {
    session.getAttributes().put(SESSION, new BenchSession());
  }

  @Override
  protected void handleTextMessage(WebSocketSession session, TextMessage message)
      throws IOException {
    BenchSession bench = (BenchSession) session.getAttributes().get(SESSION);
    BenchAnswer answer = answer(bench, message);
    session.sendMessage(new TextMessage(inWords(session, answer)));
  }

  /** In the words of the browser that opened the bench. */
  private byte[] inWords(WebSocketSession session, BenchAnswer answer) throws IOException {
    try {
      return words.forReader(session, () -> mapper.writeValueAsBytes(answer));
    } catch (IOException e) {
      throw e;
    } catch (Exception e) {
      throw new IllegalStateException("An answer that is data could not be written", e);
    }
  }

  private BenchAnswer answer(BenchSession bench, TextMessage message) throws IOException {
    try {
      BenchRequest asked = mapper.readValue(message.getPayload(), BenchRequest.class);
      return asked == null ? BenchAnswer.refused(0, List.of(NOTHING)) : bench.answer(asked);
    } catch (JacksonException e) {
      return BenchAnswer.refused(0, JsonProblems.explained(e).violations());
    } catch (InvalidInputException e) {
      return BenchAnswer.refused(0, e.violations());
    } catch (RuntimeException e) {
      LOG.error("A message to the bench failed in a way nobody foresaw", e);
      return BenchAnswer.refused(0, List.of(FAULT));
    }
  }
}
