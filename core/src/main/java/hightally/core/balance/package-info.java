/**
 * Balance point, neutral point, thrust line and where the packs lie. What trim tests show of the
 * balance is in {@code trimming}.
 */
package hightally.core.balance;
