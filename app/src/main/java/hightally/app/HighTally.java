package hightally.app;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Bean;

/** Starts the application. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class HighTally {
  /** Command line start; settings are Spring's, see {@code application.yaml}. */
  public static void main(String[] args) {
    SpringApplication.run(HighTally.class, args);
  }

  @Bean
  Clock clock() {
    return Clock.systemDefaultZone();
  }
}
