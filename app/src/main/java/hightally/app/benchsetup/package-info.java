/**
 * The guided bench set-up and changed parts, in the database and over HTTP. What an answer means is
 * in the core's {@code benchsetup}.
 */
package hightally.app.benchsetup;
