/**
 * Every change of a setup: figures set, parts and phases added, renamed and removed, common mixes
 * as recipes, mends. Each edit gives a new setup or refuses with the reason; nothing is stored
 * here.
 */
package hightally.core.edit;
