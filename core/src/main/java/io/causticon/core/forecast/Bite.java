package io.causticon.core.forecast;

/**
 * Something in a plan that will bite.
 *
 * @param title what
 * @param reason why, with its numbers
 * @param advice what would change it
 * @param dangerous whether it can hurt somebody
 */
public record Bite(String title, String reason, String advice, boolean dangerous) {}
