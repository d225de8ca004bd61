package hightally.app.aircraft;

import hightally.core.quantity.Absentable;
import java.time.Instant;

/**
 * A model that is set aside or deleted.
 *
 * @param since when it was
 * @param gone when nothing of it is left; absent for one that is set aside
 */
public record PutAway(long id, String name, Place place, Instant since, @Absentable Instant gone) {}
