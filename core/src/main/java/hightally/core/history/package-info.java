/**
 * What has become of a model over revisions, flights, measurements and work orders, where it stands
 * now, and what its description learns from them. It is worked out from what is stored each time it
 * is asked; nothing is kept here.
 */
package hightally.core.history;
