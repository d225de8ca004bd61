/**
 * Setting a model up on the bench, step by step: what is looked at and measured, and what the
 * answers mean. Checks before a flight are in {@code preflight}.
 */
package hightally.core.benchsetup;
