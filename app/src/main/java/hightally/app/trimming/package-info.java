/**
 * Trim tests, the coach's plan, purpose and pilot, changes of the model, in the database and over
 * HTTP. Advice is computed in the core's {@code trimming}.
 */
package hightally.app.trimming;
