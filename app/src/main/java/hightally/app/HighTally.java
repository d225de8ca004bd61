package hightally.app;

import hightally.app.platform.LogFile;
import hightally.app.platform.StartFailure;
import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.autoconfigure.security.servlet.UserDetailsServiceAutoConfiguration;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Starts the application. */
@SpringBootApplication(exclude = UserDetailsServiceAutoConfiguration.class)
@ConfigurationPropertiesScan
@EnableScheduling
public class HighTally {
  private static final String DATA = "--high-tally.data=";

  /** Command line start; settings are Spring's, see {@code application.yaml}. */
  public static void main(String[] args) {
    String data = data(args);
    String barred = StartFailure.beforehand(data);
    if (!barred.isEmpty()) {
      end(barred);
    }
    LogFile.in(data)
        .ifPresent(
            file -> {
              System.setProperty("logging.file.name", file.toString());
              System.setProperty("logging.threshold.console", "OFF");
            });
    try {
      SpringApplication.run(HighTally.class, args);
    } catch (SpringApplication.AbandonedRunException e) {
      throw e; // A preparatory run of the framework's, which ends this way.
    } catch (Throwable e) {
      boolean logged = LogFile.add(data, e);
      String why = StartFailure.words(e, data);
      if (why.isEmpty()) {
        if (!logged) {
          e.printStackTrace();
        }
        why = StartFailure.unforeseen(logged, data);
      }
      end(why);
    }
  }

  private static void end(String why) {
    System.err.println(StartFailure.cannotStart(why));
    System.exit(1);
  }

  private static String data(String[] args) {
    for (String arg : args) {
      if (arg.startsWith(DATA)) {
        return arg.substring(DATA.length());
      }
    }
    return "./data";
  }

  @Bean
  Clock clock() {
    return Clock.systemDefaultZone();
  }
}
