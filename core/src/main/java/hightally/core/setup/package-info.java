/**
 * The one immutable document of a model, {@link hightally.core.setup.Setup}, and what its parts say
 * of one another. It says whether a setup is well formed, not whether it is wise: that is in {@code
 * audit}.
 */
package hightally.core.setup;
