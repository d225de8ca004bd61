package hightally.app.platform;

import hightally.core.quantity.Said;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Says in one line where the page is, once everything is ready. */
@Component
class Announcement {
  private final HighTallyProperties properties;
  private final LocalNetwork network;

  Announcement(HighTallyProperties properties, LocalNetwork network) {
    this.properties = properties;
    this.network = network;
  }

  @EventListener
  void ready(ApplicationReadyEvent event) {
    if (event.getApplicationContext() instanceof ServletWebServerApplicationContext context) {
      for (String page : network.pages()) {
        System.out.println(StartWords.say(Said.of("start.forDevices", "page", page)));
      }
      String address = context.getEnvironment().getProperty("server.address", "127.0.0.1");
      int port = context.getWebServer().getPort();
      String page = "http://" + address + ":" + port + "/";
      System.out.println(StartWords.say(Said.of("start.ready", "page", page)));
      RunningAt.keep(properties.data(), page);
      if (properties.browser()) {
        OwnBrowser.open(page);
      }
    }
    if (properties.exitWhenReady()) {
      System.exit(SpringApplication.exit(event.getApplicationContext()));
    }
  }
}
