package hightally.app.platform;

import com.fasterxml.jackson.databind.JsonNode;
import hightally.app.ApiTest;
import java.util.Locale;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;

/** Asks every operation of the published description. */
abstract class EveryRoute extends ApiTest {
  Answer tried(ApiBodies bodies, String path, String method, JsonNode operation) throws Exception {
    StringBuilder at = new StringBuilder(path.replaceAll("\\{\\w+}", "1"));
    for (JsonNode parameter : operation.path("parameters")) {
      if (parameter.get("in").asText().equals("query") && parameter.path("required").asBoolean()) {
        at.append(at.indexOf("?") < 0 ? '?' : '&').append(parameter.get("name").asText());
        at.append("=1");
      }
    }
    HttpMethod verb = HttpMethod.valueOf(method.toUpperCase(Locale.ROOT));
    var contents = operation.at("/requestBody/content").properties().iterator();
    if (!contents.hasNext()) {
      return send(verb, at.toString(), MediaType.APPLICATION_JSON, "");
    }
    var content = contents.next();
    JsonNode example = content.getValue().path("example");
    JsonNode body = example.isObject() ? example : bodies.of(content.getValue().get("schema"));
    return send(verb, at.toString(), MediaType.parseMediaType(content.getKey()), body.toString());
  }

  interface Each {
    void of(String path, String method, JsonNode operation) throws Exception;
  }

  void each(Each each) throws Exception {
    JsonNode paths = get("/api/openapi").json().get("paths");
    for (var path = paths.properties().iterator(); path.hasNext(); ) {
      var one = path.next();
      for (var method = one.getValue().properties().iterator(); method.hasNext(); ) {
        var operation = method.next();
        each.of(one.getKey(), operation.getKey(), operation.getValue());
      }
    }
  }
}
