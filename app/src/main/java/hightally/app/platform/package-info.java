/**
 * What every area stands on: problem details, validation, own-page-only access, writes that are
 * sure, background work. Nothing here knows radio control.
 */
package hightally.app.platform;
