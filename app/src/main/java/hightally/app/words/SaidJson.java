package hightally.app.words;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.databind.SerializerProvider;
import com.fasterxml.jackson.databind.ser.std.StdSerializer;
import hightally.core.quantity.Said;
import java.io.IOException;
import org.springframework.boot.autoconfigure.jackson.Jackson2ObjectMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Lazy;

/** What the core says leaves the program in the reader's words. */
@Configuration
class SaidJson {
  @Bean
  Jackson2ObjectMapperBuilderCustomizer saidInWords(@Lazy ReaderWords words) {
    return builder -> builder.serializers(new InWords(words));
  }

  private static final class InWords extends StdSerializer<Said> {
    private static final long serialVersionUID = 1;

    private final transient ReaderWords words;

    InWords(ReaderWords words) {
      super(Said.class);
      this.words = words;
    }

    @Override
    public void serialize(Said said, JsonGenerator out, SerializerProvider provider)
        throws IOException {
      out.writeString(words.say(said));
    }
  }
}
