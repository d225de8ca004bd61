package hightally.e2e;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.SpringApplicationRunListener;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * One process that starts the packaged application again and again, each time on the data it is
 * told: what a first start costs (classes read, code compiled) is paid once. Every line it reads is
 * a command line, its arguments parted by tabs; the application before is ended first. An empty
 * line ends it and starts none.
 */
final class Host {
  /** What it says once an application has ended. */
  static final String ENDED = "ended";

  private static final String APPLICATION = "hightally.app.HighTally";

  private static ConfigurableApplicationContext running;

  private Host() {}

  public static void main(String[] none) throws IOException {
    BufferedReader in =
        new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8));
    for (String line = in.readLine(); line != null; line = in.readLine()) {
      end();
      if (line.isEmpty()) {
        System.out.println(ENDED);
      } else {
        start(line.split("\t"));
      }
    }
    System.exit(0);
  }

  private static void start(String... arguments) {
    SpringApplication.withHook(
        application ->
            new SpringApplicationRunListener() {
              @Override
              public void contextLoaded(ConfigurableApplicationContext context) {
                running = context;
              }
            },
        () -> application(arguments));
  }

  private static void application(Object arguments) {
    try {
      Class.forName(APPLICATION).getMethod("main", String[].class).invoke(null, arguments);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e);
    }
  }

  private static void end() {
    if (running != null) {
      running.close();
      running = null;
    }
  }
}
