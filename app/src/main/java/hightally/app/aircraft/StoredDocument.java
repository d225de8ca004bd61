package hightally.app.aircraft;

import java.util.function.Consumer;

/**
 * A column that holds a whole document.
 *
 * @param table its table
 * @param column its name there
 * @param reader reads one, or fails with what is wrong with it
 */
public record StoredDocument(String table, String column, Consumer<String> reader) {}
