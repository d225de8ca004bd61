package hightally.app.bench;

import hightally.app.device.OpenSockets;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.socket.config.annotation.EnableWebSocket;
import org.springframework.web.socket.config.annotation.WebSocketConfigurer;
import org.springframework.web.socket.config.annotation.WebSocketHandlerRegistry;
import org.springframework.web.socket.server.standard.ServletServerContainerFactoryBean;

/** Where the bench is reached. */
@Configuration
@EnableWebSocket
class BenchEndpoint implements WebSocketConfigurer {
  /** A whole setup travels in one message. */
  private static final int LARGEST_MESSAGE = 1_000_000;

  private final BenchSocket socket;
  private final OpenSockets sockets;

  BenchEndpoint(BenchSocket socket, OpenSockets sockets) {
    this.socket = socket;
    this.sockets = sockets;
  }

  @Override
  public void registerWebSocketHandlers(WebSocketHandlerRegistry registry) {
    registry.addHandler(sockets.watched(socket), "/api/bench");
  }

  @Bean
  ServletServerContainerFactoryBean container() {
    ServletServerContainerFactoryBean container = new ServletServerContainerFactoryBean();
    container.setMaxTextMessageBufferSize(LARGEST_MESSAGE);
    return container;
  }
}
