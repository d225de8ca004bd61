/**
 * The live bench over a socket, and its scenes. What moves is computed in the core's {@code signal}
 * and {@code simulator}.
 */
package hightally.app.bench;
