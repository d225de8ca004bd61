/**
 * Edits of a draft over HTTP. The edits are the core's {@code edit}; drafts are stored in {@code
 * aircraft}.
 */
package hightally.app.edit;
