package hightally.order;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.cglib.core.ReflectUtils;

class SortedMethodsTest {
  /** Methods whose names and types stand in no order. */
  interface Many {
    void zeta();

    void alpha(int one);

    void alpha(String one);

    void middle();
  }

  @Test
  void theCollectorOfTheFrameworkAsksForMethodsInOrder()
      throws IOException, ReflectiveOperationException {
    Class<?> collector = new Loader().sorted();
    List<Object> found = new ArrayList<>();
    Method all = collector.getMethod("addAllMethods", Class.class, List.class);

    all.invoke(null, Many.class, found);

    assertThat(found.stream().map(Object::toString).map(SortedMethodsTest::named))
        .containsExactly("alpha(int)", "alpha(java.lang.String)", "middle()", "zeta()");
  }

  @Test
  void nothingElseIsChanged() throws InvocationTargetException {
    assertThat(SortedMethods.declared(Many.class))
        .containsExactlyInAnyOrder(Many.class.getDeclaredMethods());
    assertThat(Arrays.stream(SortedMethods.declared(String.class)).map(Method::getName)).isSorted();
  }

  private static String named(String method) {
    return method.substring(method.lastIndexOf('.', method.indexOf('(')) + 1);
  }

  /** The collector anew, as the agent leaves it. */
  private static final class Loader extends ClassLoader {
    Loader() {
      super(SortedMethodsTest.class.getClassLoader());
    }

    Class<?> sorted() throws IOException {
      String file = "/" + SortedMethods.COLLECTOR + ".class";
      try (InputStream in = ReflectUtils.class.getResourceAsStream(file)) {
        byte[] bytes = SortedMethods.sorting(in.readAllBytes());
        return defineClass(ReflectUtils.class.getName(), bytes, 0, bytes.length);
      }
    }
  }
}
