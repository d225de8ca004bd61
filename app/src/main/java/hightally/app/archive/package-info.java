/**
 * Everything in one file: written on demand, once a day and before the data are brought up to a
 * newer program; read back into an empty hangar or a used one, where nothing is overwritten.
 */
package hightally.app.archive;
