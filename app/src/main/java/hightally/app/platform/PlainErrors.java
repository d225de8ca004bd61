package hightally.app.platform;

import hightally.core.quantity.Said;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.ErrorReportValve;
import org.springframework.boot.web.embedded.tomcat.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What the container refuses by itself, before anything here sees it, in plain words. */
@Configuration
class PlainErrors {
  @Bean
  WebServerFactoryCustomizer<TomcatServletWebServerFactory> containersErrors() {
    return factory ->
        factory.addContextCustomizers(
            context ->
                ((StandardHost) context.getParent())
                    .setErrorReportValveClass(Plain.class.getName()));
  }

  /** Made by the container, by its name. */
  public static final class Plain extends ErrorReportValve {
    @Override
    protected void report(Request request, Response response, Throwable failure) {
      if (response.getStatus() < 400 || response.getContentWritten() > 0) {
        return;
      }
      String words = StartWords.say(Said.of("problem.notUnderstood"));
      try {
        response.setContentType("text/plain");
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        if (response.getReporter() != null) {
          response.getReporter().write(words + "\n");
          response.finishResponse();
        }
      } catch (IOException | IllegalStateException e) {
        container.getLogger().debug("Nobody listens any more", e);
      }
    }
  }
}
