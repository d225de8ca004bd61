/**
 * What is printed and typed from a setup: entry sheet, program sheet, switch words and the preview
 * of a flick. Every figure on them comes from {@code signal}.
 */
package hightally.core.sheet;
