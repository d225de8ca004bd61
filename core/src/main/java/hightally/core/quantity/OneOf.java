package hightally.core.quantity;

/**
 * One of a fixed choice, as it is kept: the name of an enum and of its constant. Told like the enum
 * itself.
 */
public record OneOf(String kind, String name) {
  public static OneOf of(Enum<?> one) {
    return new OneOf(one.getDeclaringClass().getSimpleName(), one.name());
  }
}
