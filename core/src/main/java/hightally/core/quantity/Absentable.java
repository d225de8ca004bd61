package hightally.core.quantity;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** A component that may be absent: {@code null}, with its meaning stated beside it. */
@Documented
@Target({
  ElementType.RECORD_COMPONENT,
  ElementType.FIELD,
  ElementType.METHOD,
  ElementType.PARAMETER
})
@Retention(RetentionPolicy.RUNTIME)
public @interface Absentable {
  /** Whether it is the entries of the list that may be absent, not the list. */
  boolean entries() default false;
}
