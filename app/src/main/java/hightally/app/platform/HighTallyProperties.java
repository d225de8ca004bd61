package hightally.app.platform;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * The program's own settings.
 *
 * @param demo whether an empty database is filled with the demo model
 * @param data folder of the database
 * @param exitWhenReady stops as soon as everything runs; for recording which classes a start loads
 * @param lan whether devices on the local network may be let in
 * @param browser whether the page is opened in the browser once it is there
 */
@ConfigurationProperties("high-tally")
public record HighTallyProperties(
    boolean demo,
    String data,
    @DefaultValue("false") boolean exitWhenReady,
    @DefaultValue("false") boolean lan,
    @DefaultValue("false") boolean browser) {
  /** The setting that says from which version the data have just been taken over. */
  public static final String TAKEN_OVER = "high-tally.taken-over";
}
