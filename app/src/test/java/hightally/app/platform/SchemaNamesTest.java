package hightally.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.Method;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.springframework.context.annotation.ClassPathScanningCandidateComponentProvider;
import org.springframework.core.type.filter.AnnotationTypeFilter;
import org.springframework.web.bind.annotation.RestController;

/** Two records of one name would be one in what is published, and one of them wrong. */
class SchemaNamesTest {
  private final Set<Type> seen = new HashSet<>();
  private final Map<String, Set<String>> byName = new TreeMap<>();

  @Test
  void noTwoRecordsOfTheInterfaceHaveOneName() throws ClassNotFoundException {
    var scanner = new ClassPathScanningCandidateComponentProvider(false);
    scanner.addIncludeFilter(new AnnotationTypeFilter(RestController.class));
    for (var found : scanner.findCandidateComponents("hightally.app")) {
      for (Method method : Class.forName(found.getBeanClassName()).getDeclaredMethods()) {
        if (method.getAnnotations().length > 0) {
          walk(method.getGenericReturnType());
          for (Type type : method.getGenericParameterTypes()) {
            walk(type);
          }
        }
      }
    }
    assertThat(byName).hasSizeGreaterThan(100);
    assertThat(byName.values()).allSatisfy(names -> assertThat(names).hasSize(1));
  }

  private void walk(Type type) {
    if (!seen.add(type)) {
      return;
    }
    if (type instanceof ParameterizedType many) {
      walk(many.getRawType());
      for (Type one : many.getActualTypeArguments()) {
        walk(one);
      }
    } else if (type instanceof Class<?> one && one.getName().startsWith("hightally.")) {
      if (one.isRecord()) {
        byName.computeIfAbsent(one.getSimpleName(), name -> new TreeSet<>()).add(one.getName());
      }
      for (RecordComponent part :
          one.isRecord() ? one.getRecordComponents() : new RecordComponent[0]) {
        walk(part.getGenericType());
      }
    }
  }
}
