package hightally.app.platform;

import hightally.app.words.ReaderWords;
import hightally.core.quantity.Said;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.PathItem;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.responses.ApiResponse;
import io.swagger.v3.oas.models.servers.Server;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.PropertyCustomizer;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What the published description of the API says about itself. */
@Configuration
class ApiDescription {
  static {
    SpringDocUtils.getConfig().replaceWithClass(Said.class, String.class);
  }

  private static final String PROBLEM = "Problem";

  @Bean
  OpenAPI description() {
    return new OpenAPI()
        // One that is always the same; without it whoever asked first would stand here.
        .servers(List.of(new Server().url("/").description("where this was read")))
        .info(
            new Info()
                .title("High Tally")
                .version("1")
                .description(
                    "Setups, flights and adjustments of radio-controlled models, and the calculations"
                        + " behind them. Units and signs: docs/computation.md. Refused input answers"
                        + " 422 with a list of violations: field, value, requirement."));
  }

  /** Ranges and what may be absent, read off the core's own statements. */
  @Bean
  PropertyCustomizer ranges() {
    return (property, type) -> FieldSchemas.told(property, type.getCtxAnnotations());
  }

  /**
   * Records always write all their components; only what a calculation may leave out stays
   * optional. Every operation has a name of its own and says how it may be refused.
   */
  @Bean
  @SuppressWarnings("rawtypes") // The library's own model says no more.
  OpenApiCustomizer everythingWrittenIsThere(ReaderWords words) {
    return api -> {
      Map<String, Schema> schemas = api.getComponents().getSchemas();
      schemas.forEach((name, schema) -> require(name, schema));
      schemas.forEach((name, schema) -> FieldSchemas.named(name, schema, words));
      schemas.put("Violation", violation());
      schemas.put(PROBLEM, problem());
      api.getPaths()
          .forEach(
              (path, item) ->
                  item.readOperationsMap().forEach((method, one) -> tell(path, method, one)));
      CalculationExamples.into(api.getPaths());
    };
  }

  private static void require(String name, Schema<?> schema) {
    if (schema.getProperties() != null && !name.endsWith("Given")) {
      schema.setRequired(new ArrayList<>(schema.getProperties().keySet()));
    }
  }

  private static void tell(String path, PathItem.HttpMethod method, Operation operation) {
    operation.setOperationId(name(path, method));
    refusal(operation, "403", "Asked by another page, or under another name than this machine's.");
    if (path.contains("{")) {
      refusal(operation, "404", "What the address names is not there.");
    }
    if (operation.getParameters() != null) {
      refusal(operation, "400", "A part of the address is of the wrong kind.");
      refusal(operation, "422", "What was sent breaks its contract; every violation is named.");
    }
    if (operation.getRequestBody() != null) {
      refusal(operation, "413", "More bytes than are taken here.");
      refusal(operation, "415", "The request does not say that it brings what is asked for.");
      refusal(operation, "422", "What was sent breaks its contract; every violation is named.");
    }
    if (!path.endsWith("/here") && !path.endsWith("/let-in")) {
      refusal(operation, "401", "Asked by a device on the network that is not let in.");
    }
    if (path.endsWith("/let-in")) {
      refusal(operation, "429", "Wrong codes slow this down; Retry-After says for how long.");
    }
    if (path.endsWith("/devices/code")) {
      refusal(operation, "409", "The program answers only this machine.");
    }
    boolean kept = path.startsWith("/api/aircraft") || path.startsWith("/api/school");
    if (kept && path.contains("{")) {
      refusal(
          operation, "409", "Somebody else was first, or something under way stands against it.");
    }
    if (method != PathItem.HttpMethod.GET && kept) {
      refusal(operation, "503", "The data cannot be written: perhaps the disk is full.");
    }
  }

  /** {@code GET /api/aircraft/{id}/settling} is {@code getAircraftIdSettling}. */
  private static String name(String path, PathItem.HttpMethod method) {
    StringBuilder name = new StringBuilder(method.name().toLowerCase(java.util.Locale.ROOT));
    for (String part : path.substring("/api/".length()).split("[^A-Za-z0-9]+")) {
      if (!part.isEmpty()) {
        name.append(Character.toUpperCase(part.charAt(0))).append(part.substring(1));
      }
    }
    return name.toString();
  }

  private static void refusal(Operation operation, String status, String why) {
    Schema<?> schema = new Schema<>().$ref("#/components/schemas/" + PROBLEM);
    operation
        .getResponses()
        .addApiResponse(
            status,
            new ApiResponse()
                .description(why)
                .content(
                    new Content()
                        .addMediaType("application/problem+json", new MediaType().schema(schema))));
  }

  private static Schema<?> violation() {
    Schema<?> schema = object("One thing wrong with an input.");
    text(schema, "field", "which field, by its path");
    text(schema, "value", "what was given");
    text(schema, "requirement", "what would be legal");
    schema.setRequired(List.of("field", "value", "requirement"));
    return schema;
  }

  private static Schema<?> problem() {
    Schema<?> schema = object("Why a request was not carried out (RFC 9457).");
    text(schema, "title", "what sort of failure");
    text(schema, "detail", "what happened and what to do, in a sentence");
    Schema<?> status = FieldSchemas.typed("integer");
    status.setDescription("the HTTP status once more");
    schema.addProperty("status", status);
    ArraySchema violations = new ArraySchema();
    violations.setTypes(java.util.Set.of("array"));
    violations.setItems(new Schema<>().$ref("#/components/schemas/Violation"));
    violations.setDescription("only with status 422");
    schema.addProperty("violations", violations);
    schema.setRequired(List.of("title", "detail", "status"));
    return schema;
  }

  private static Schema<?> object(String words) {
    Schema<?> schema = FieldSchemas.typed("object");
    schema.setDescription(words);
    return schema;
  }

  private static void text(Schema<?> schema, String name, String words) {
    StringSchema text = new StringSchema();
    text.setTypes(java.util.Set.of("string"));
    text.setDescription(words);
    schema.addProperty(name, text);
  }
}
