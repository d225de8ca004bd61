/**
 * Where every model stands and whether it is clear to fly: the hangar's board, clearances kept by
 * content, changes made. The judgement is the core's {@code preflight} and {@code history}.
 */
package hightally.app.standing;
