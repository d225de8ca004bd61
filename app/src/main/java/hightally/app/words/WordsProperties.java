package hightally.app.words;

import hightally.core.words.Wording;
import java.util.Locale;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * How things are told where a request does not say.
 *
 * @param language of the message file
 * @param inches whether lengths are told in inches
 * @param decimalComma whether a comma stands before the decimals
 */
@ConfigurationProperties("high-tally.words")
record WordsProperties(
    @DefaultValue("en") String language,
    @DefaultValue("false") boolean inches,
    @DefaultValue("false") boolean decimalComma) {
  Wording wording() {
    return new Wording(
        Locale.forLanguageTag(language),
        inches ? Wording.Length.INCHES : Wording.Length.MILLIMETRES,
        decimalComma);
  }
}
