/**
 * The trim tests, what each outcome asks for and the next step of each lever, and the coach who
 * puts them in order. It advises a change; the flights themselves are in {@code flightlog}.
 */
package hightally.core.trimming;
