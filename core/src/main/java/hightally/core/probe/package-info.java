/**
 * What a rig is: which looks at it tell what differs from its description, the best next one, and
 * the smallest change that makes rig, description and pilot's wish one. It is not the guide through
 * the set-up, which is in {@code benchsetup}.
 */
package hightally.core.probe;
