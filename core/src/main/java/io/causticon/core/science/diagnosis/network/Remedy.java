package io.causticon.core.science.diagnosis.network;

/**
 * What to do about a condition.
 *
 * @param now with this batch
 * @param nextTime in the next plan
 */
public record Remedy(String now, String nextTime) {}
