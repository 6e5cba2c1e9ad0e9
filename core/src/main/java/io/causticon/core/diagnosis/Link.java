package io.causticon.core.diagnosis;

/**
 * A condition brings about a finding.
 *
 * @param finding what it brings about
 * @param condition what brings it about
 * @param strength how often it does, alone, 0 to 1
 * @param reason why, in a line that the maker reads
 */
record Link(Finding finding, Condition condition, double strength, String reason) {}
