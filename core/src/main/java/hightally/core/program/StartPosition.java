package hightally.core.program;

import hightally.core.quantity.Text;
import hightally.core.quantity.Within;

/** Where a switch must stand when the transmitter is switched on, counted from 1. */
public record StartPosition(@Text(max = 40) String input, @Within(min = 1, max = 6) int position) {}
