package hightally.app.school;

import org.springframework.context.annotation.Configuration;
import org.springframework.web.socket.config.annotation.WebSocketConfigurer;
import org.springframework.web.socket.config.annotation.WebSocketHandlerRegistry;

/** Where the live flight is reached. */
@Configuration
class LiveEndpoint implements WebSocketConfigurer {
  private final LiveSocket socket;

  LiveEndpoint(LiveSocket socket) {
    this.socket = socket;
  }

  @Override
  public void registerWebSocketHandlers(WebSocketHandlerRegistry registry) {
    registry.addHandler(socket, "/api/air/live");
  }
}
