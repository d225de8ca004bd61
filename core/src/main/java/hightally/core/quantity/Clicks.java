package hightally.core.quantity;

/** Clicks of trim and which way they point; never told with a sign. */
public record Clicks(Control control, int count) {}
