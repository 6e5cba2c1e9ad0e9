package io.causticon.core.science.trial;

import io.causticon.core.model.log.SensoryScale;

/**
 * One grade that one judge gave one arm.
 *
 * @param arm its name
 * @param judge who
 * @param age as which the panel counts, in words that are the same for all arms of it
 * @param place in the round, from 1
 * @param scale what was graded
 * @param grade 1 to 5
 */
public record Sitting(String arm, String judge, String age, int place, SensoryScale scale, double grade) {}
