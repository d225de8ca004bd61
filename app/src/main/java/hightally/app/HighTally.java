package hightally.app;

import hightally.app.archive.BringBack;
import hightally.app.datafile.DataFile;
import hightally.app.datafile.WayBack;
import hightally.app.platform.LogFile;
import hightally.app.platform.OwnBrowser;
import hightally.app.platform.RunningAt;
import hightally.app.platform.StartFailure;
import hightally.app.platform.StartWords;
import hightally.core.quantity.Said;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
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
  private static final String RESTORE = "--high-tally.restore=";
  private static final String BROWSER = "--high-tally.browser=";

  /** Command line start; settings are Spring's, see {@code application.yaml}. */
  public static void main(String[] args) {
    String data = option(args, DATA, "./data");
    String barred = StartFailure.beforehand(data);
    if (!barred.isEmpty()) {
      end(barred);
    }
    String way = option(args, RESTORE, "");
    try {
      Said notTaken = new TakeOver(args).into(Path.of(data));
      if (!notTaken.isEmpty()) {
        end(StartWords.say(notTaken));
      }
      DataFile file = new DataFile(Path.of(data));
      if (Boolean.parseBoolean(option(args, BROWSER, "")) && file.inUse()) {
        openTheOneThatRuns(data);
      }
      if (!way.isEmpty()) {
        restore(data, way);
      } else {
        Said trouble = file.trouble(Clock.systemDefaultZone());
        if (!trouble.isEmpty()) {
          end(StartWords.say(trouble));
        }
      }
    } catch (IOException e) {
      end(StartFailure.unforeseen(LogFile.add(data, e), data));
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

  /** Who starts it a second time wants its page. */
  private static void openTheOneThatRuns(String data) {
    RunningAt.in(data)
        .ifPresent(
            page -> {
              System.out.println(StartWords.say(Said.of("start.ready", "page", page)));
              OwnBrowser.open(page);
              System.exit(0);
            });
  }

  /** Says which ways back there are, or takes one. */
  private static void restore(String data, String word) throws IOException {
    WayBack back = new WayBack(Path.of(data), Clock.systemDefaultZone());
    Optional<WayBack.RestoreFrom> way = WayBack.RestoreFrom.named(word);
    if (way.isEmpty()) {
      System.out.println(StartWords.say(back.offer()));
      System.exit(0);
    }
    Said trouble = back.trouble();
    if (!trouble.isEmpty()) {
      end(StartWords.say(trouble));
    }
    back.take(way.get(), said -> System.out.println(StartWords.say(said)))
        .ifPresent(archive -> System.setProperty(BringBack.ARCHIVE, archive.toString()));
  }

  private static void end(String why) {
    System.err.println(StartFailure.cannotStart(why));
    System.exit(1);
  }

  static String option(String[] args, String name, String usual) {
    for (String arg : args) {
      if (arg.startsWith(name)) {
        return arg.substring(name.length());
      }
    }
    return usual;
  }

  @Bean
  Clock clock() {
    return Clock.systemDefaultZone();
  }
}
