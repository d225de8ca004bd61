/**
 * Work orders over HTTP and in the database: begun, carried out step by step, finished or given up.
 * What to turn is computed in the core's {@code adjustment}.
 */
package hightally.app.adjustment;
