/**
 * Numbers with their unit, their legal range and their direction, and what is told of them as data.
 * Nothing here knows what a model is, and no sentence is made here.
 */
package hightally.core.quantity;
