package hightally.core.quantity;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** How long a text may be, stated once for checks, schema and page. */
@Documented
@Retention(RetentionPolicy.RUNTIME)
@Target({ElementType.RECORD_COMPONENT, ElementType.FIELD, ElementType.METHOD})
public @interface Text {
  /** Fewest characters, blanks at the ends not counted. */
  int min() default 1;

  /** Most characters. */
  int max() default 80;

  /** A pattern the whole text must match; empty for none. */
  String pattern() default "";
}
