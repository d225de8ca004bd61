package hightally.app.platform;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Says in one line where the page is, once everything is ready. */
@Component
class Announcement {
  private final HighTallyProperties properties;

  Announcement(HighTallyProperties properties) {
    this.properties = properties;
  }

  @EventListener
  void ready(ApplicationReadyEvent event) {
    if (event.getApplicationContext() instanceof ServletWebServerApplicationContext context) {
      String address = context.getEnvironment().getProperty("server.address", "127.0.0.1");
      int port = context.getWebServer().getPort();
      System.out.println("High Tally is ready at http://" + address + ":" + port + "/");
    }
    if (properties.exitWhenReady()) {
      System.exit(SpringApplication.exit(event.getApplicationContext()));
    }
  }
}
