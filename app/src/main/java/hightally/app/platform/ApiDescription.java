package hightally.app.platform;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import java.util.ArrayList;
import java.util.List;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What the published description of the API says about itself. */
@Configuration
class ApiDescription {
  @Bean
  OpenAPI description() {
    return new OpenAPI()
        .info(
            new Info()
                .title("High Tally")
                .version("1")
                .description(
                    "Setups, flights and adjustments of radio-controlled models, and the calculations"
                        + " behind them. Units and signs: docs/computation.md. Refused input answers"
                        + " 422 with a list of violations: field, value, requirement."));
  }

  /**
   * Records always write all their components; only what a calculation may leave out stays
   * optional.
   */
  @Bean
  OpenApiCustomizer everythingWrittenIsThere() {
    return api -> {
      api.setServers(List.of());
      api.getComponents().getSchemas().forEach((name, schema) -> require(name, schema));
    };
  }

  private static void require(String name, Schema<?> schema) {
    if (schema.getProperties() != null && !name.endsWith("Given")) {
      schema.setRequired(new ArrayList<>(schema.getProperties().keySet()));
    }
  }
}
