package hightally.app.device;

import java.io.IOException;
import java.security.Principal;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.WebSocketHandler;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.handler.WebSocketHandlerDecorator;

/** What each device has open, so that a device that is sent away hears and says no more. */
@Component
public class OpenSockets {
  private static final Logger LOG = LoggerFactory.getLogger(OpenSockets.class);
  private final Map<Long, Set<WebSocketSession>> open = new ConcurrentHashMap<>();
  private final Set<Long> gone = ConcurrentHashMap.newKeySet();

  /** A handler of which every connection is known by its device. */
  public WebSocketHandler watched(WebSocketHandler handler) {
    return new WebSocketHandlerDecorator(handler) {
      @Override
      public void afterConnectionEstablished(WebSocketSession session) throws Exception {
        Long device = device(session.getPrincipal());
        if (device != null) {
          open.computeIfAbsent(device, id -> ConcurrentHashMap.newKeySet()).add(session);
          if (gone.contains(device)) {
            close(device);
            return;
          }
        }
        super.afterConnectionEstablished(session);
      }

      @Override
      public void afterConnectionClosed(WebSocketSession session, CloseStatus status)
          throws Exception {
        Long device = device(session.getPrincipal());
        if (device != null) {
          open.getOrDefault(device, Set.of()).remove(session);
        }
        super.afterConnectionClosed(session, status);
      }
    };
  }

  private static Long device(Principal principal) {
    return principal instanceof Requester visitor ? visitor.device() : null;
  }

  void close(long device) {
    gone.add(device);
    Set<WebSocketSession> sessions = open.remove(device);
    if (sessions == null) {
      return;
    }
    for (WebSocketSession session : sessions) {
      try {
        session.close(CloseStatus.POLICY_VIOLATION);
      } catch (IOException e) {
        LOG.warn("A connection of a device that was sent away could not be closed", e);
      }
    }
  }
}
