package io.causticon.core.science.trial;

import io.causticon.core.model.log.SensoryScale;
import io.causticon.core.quantity.Interval;
import org.jspecify.annotations.Nullable;

/**
 * How an arm differs from the control on one scale, at one age.
 *
 * @param arm its name
 * @param scale what was graded
 * @param age of the panel
 * @param difference in grades
 * @param interval that holds it nine times out of ten; null where there is nothing to tell chance by: one judge, once
 * @param chanceReal that there is a difference this way round; a half says nothing
 * @param found whether it stands out, with as many arms and ages as were compared on the scale counted against it
 * @param roundsMissing how many rounds more would halve the doubt to less than the difference; 0 where none are, and
 *     where nobody can say
 */
public record Effect(
        String arm,
        SensoryScale scale,
        String age,
        double difference,
        @Nullable Interval interval,
        double chanceReal,
        boolean found,
        int roundsMissing) {}
