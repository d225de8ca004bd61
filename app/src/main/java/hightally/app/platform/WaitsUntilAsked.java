package hightally.app.platform;

import org.springframework.boot.LazyInitializationExcludeFilter;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.data.repository.Repository;
import org.springframework.data.repository.core.support.RepositoryFactoryBeanSupport;
import org.springframework.stereotype.Component;

/**
 * Which parts a start does not make: those that do nothing before they are asked. They are our own
 * services and controllers, the repositories, and what describes the API; whatever sets something
 * up by being made is made, as are parts with a clock of their own.
 */
@Configuration(proxyBeanMethods = false)
class WaitsUntilAsked {
  @Bean
  static LazyInitializationExcludeFilter madeAtTheStart() {
    return (name, definition, type) -> !waits(type);
  }

  static boolean waits(Class<?> type) {
    String name = type.getName();
    boolean ours =
        name.startsWith("hightally.app.")
            && AnnotatedElementUtils.hasAnnotation(type, Component.class)
            && !AnnotatedElementUtils.hasAnnotation(type, Configuration.class);
    return ours
        || name.startsWith("org.springdoc.")
        || Repository.class.isAssignableFrom(type)
        || RepositoryFactoryBeanSupport.class.isAssignableFrom(type);
  }
}
