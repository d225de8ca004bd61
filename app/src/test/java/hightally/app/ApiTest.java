package hightally.app;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.autoconfigure.web.servlet.AutoConfigureMockMvc;
import org.springframework.boot.test.autoconfigure.web.servlet.MockMvcPrint;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** The whole application with a database in memory, spoken to over HTTP. */
@SpringBootTest(
    webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
    properties = {
      "spring.datasource.url=jdbc:h2:mem:test;DB_CLOSE_DELAY=-1",
      "high-tally.data=target/unused",
      "high-tally.demo=true"
    })
@AutoConfigureMockMvc(print = MockMvcPrint.NONE)
public abstract class ApiTest {
  @Autowired protected MockMvc http;
  @Autowired protected ObjectMapper json;

  /** An answer: its status and its body. */
  public record Answer(int status, String body, JsonNode json) {}

  protected Answer post(String path, Object body) throws Exception {
    return send(HttpMethod.POST, path, MediaType.APPLICATION_JSON, json.writeValueAsString(body));
  }

  protected Answer get(String path) throws Exception {
    return send(HttpMethod.GET, path, MediaType.APPLICATION_JSON, "");
  }

  protected Answer send(HttpMethod method, String path, MediaType type, String body)
      throws Exception {
    return answer(
        MockMvcRequestBuilders.request(method, path)
            .contentType(type)
            .content(body.getBytes(StandardCharsets.UTF_8)));
  }

  protected Answer answer(MockHttpServletRequestBuilder asked) throws Exception {
    MockHttpServletResponse response = http.perform(asked).andReturn().getResponse();
    String text = response.getContentAsString(StandardCharsets.UTF_8);
    JsonNode tree = text.startsWith("{") || text.startsWith("[") ? json.readTree(text) : null;
    return new Answer(response.getStatus(), text, tree);
  }

  /** The demo biplane as a document that can be changed. */
  protected ObjectNode biplane() throws Exception {
    return (ObjectNode) json.readTree(resource("demo/quillon.json"));
  }

  protected static String resource(String path) throws Exception {
    return new String(
        new ClassPathResource(path).getInputStream().readAllBytes(), StandardCharsets.UTF_8);
  }
}
