package hightally.core.quantity;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * The legal range of a number and its unit, stated once: the same statement checks every input and
 * writes the published schema. Its name and what plus means stand in the message file, under {@code
 * field.RECORD.COMPONENT}.
 */
@Documented
@Retention(RetentionPolicy.RUNTIME)
@Target({ElementType.RECORD_COMPONENT, ElementType.FIELD, ElementType.METHOD})
public @interface Within {
  /** Smallest legal value, included. */
  double min();

  /** Largest legal value, included. */
  double max();

  /** What it counts. */
  Unit unit() default Unit.NONE;
}
