package hightally.app.archive;

import hightally.app.ApiTest;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** Archives written and sent over HTTP, and what is in them. */
abstract class ArchiveCalls extends ApiTest {
  byte[] written() throws Exception {
    return http.perform(MockMvcRequestBuilders.get("/api/archive"))
        .andReturn()
        .getResponse()
        .getContentAsByteArray();
  }

  MockHttpServletResponse sent(String path, byte[] archive) throws Exception {
    return http.perform(
            MockMvcRequestBuilders.post(path).contentType("application/zip").content(archive))
        .andReturn()
        .getResponse();
  }

  static Map<String, byte[]> entries(byte[] archive) throws Exception {
    Map<String, byte[]> found = new TreeMap<>();
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(archive))) {
      for (ZipEntry one = zip.getNextEntry(); one != null; one = zip.getNextEntry()) {
        found.put(one.getName(), zip.readAllBytes());
      }
    }
    return found;
  }

  static byte[] zipped(Map<String, byte[]> entries) throws Exception {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      for (Map.Entry<String, byte[]> one : entries.entrySet()) {
        zip.putNextEntry(new ZipEntry(one.getKey()));
        zip.write(one.getValue());
      }
    }
    return out.toByteArray();
  }
}
