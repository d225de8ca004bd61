package hightally.app.school;

import hightally.app.device.OpenSockets;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.socket.config.annotation.WebSocketConfigurer;
import org.springframework.web.socket.config.annotation.WebSocketHandlerRegistry;

/** Where the live flight is reached. */
@Configuration
class LiveEndpoint implements WebSocketConfigurer {
  private final LiveSocket socket;
  private final OpenSockets sockets;

  LiveEndpoint(LiveSocket socket, OpenSockets sockets) {
    this.socket = socket;
    this.sockets = sockets;
  }

  @Override
  public void registerWebSocketHandlers(WebSocketHandlerRegistry registry) {
    registry.addHandler(sockets.watched(socket), "/api/air/live");
  }
}
