package hightally.core.quantity;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * The legal range of a number, its unit and its name in words, stated once: the same statement
 * checks every input, writes the published schema and labels the field in the page.
 */
@Documented
@Retention(RetentionPolicy.RUNTIME)
@Target({ElementType.RECORD_COMPONENT, ElementType.FIELD, ElementType.METHOD})
public @interface Within {
  /** Smallest legal value, included. */
  double min();

  /** Largest legal value, included. */
  double max();

  /** Unit as printed, for instance {@code mm}; empty for a plain number. */
  String unit() default "";

  /** The field's name in the pilot's words. */
  String label();

  /** Which way plus points, or what the value is for. */
  String hint() default "";
}
