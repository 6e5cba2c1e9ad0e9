package io.causticon.web.places.plan;

import io.causticon.core.model.plan.Dose;
import io.causticon.core.model.said.notation.DoseNotation;
import io.causticon.core.model.said.notation.MassNotation;
import io.causticon.core.model.said.notation.NumberNotation;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.formula.FormulaCheck;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** Reads single fields, collecting what cannot be read. */
final class FieldReader {

    /** No additive makes up more than this of the fats, not even the salt of a salt bar. */
    private static final Share MOST_OF_FATS = Share.percent(200);

    private final Units units;
    private final Problems problems;

    FieldReader(Units units, Problems problems) {
        this.units = units;
        this.problems = problems;
    }

    Problems problems() {
        return problems;
    }

    <T> T take(Supplier<T> reading, T otherwise) {
        return problems.take(reading, otherwise);
    }

    double number(String field, String text, double otherwise) {
        return take(() -> NumberNotation.read(field, text), otherwise);
    }

    Share percent(String field, String text, Share otherwise) {
        return take(() -> NumberNotation.percent(field, text), otherwise);
    }

    void checkShare(String field, Share share) {
        if (share.fraction() < 0) {
            problems.add(field, ProblemKey.TOO_LOW, "A share", share, Share.NONE);
        } else if (share.fraction() > 1) {
            problems.add(field, ProblemKey.TOO_HIGH, "A share", share, Share.WHOLE);
        }
    }

    /** A mass from nothing up to a limit; per cent where a mass is wanted is told as such. */
    Mass mass(String field, String text, Mass most) {
        if (text.trim().endsWith("%")) {
            problems.add(field, ProblemKey.NEEDS_A_TOTAL, text.trim());
            return Mass.ZERO;
        }
        Mass mass = take(() -> MassNotation.read(field, text, units), Mass.ZERO);
        checkMass(field, mass, most);
        return mass;
    }

    /**
     * A dose.
     *
     * @param name of what is dosed
     * @param gramsPerTeaspoon what a level spoon of it weighs; null when it is not spooned
     */
    Dose dose(String field, String text, String name, @Nullable Double gramsPerTeaspoon) {
        Dose dose = take(() -> DoseNotation.read(field, text, units), Dose.mass(Mass.ZERO));
        if (dose.isSpooned() && gramsPerTeaspoon == null) {
            problems.add(field, ProblemKey.NOT_SPOONED, name);
            return Dose.mass(Mass.ZERO);
        }
        if (dose.value() < 0) {
            problems.add(field, ProblemKey.TOO_LOW, "A dose", dose.value(), 0.0);
        } else if (dose.way() == Dose.Way.OF_FATS && dose.value() > MOST_OF_FATS.fraction()) {
            problems.add(field, ProblemKey.TOO_HIGH, "A dose", Share.fraction(dose.value()), MOST_OF_FATS);
        } else {
            checkMass(field, dose.of(gramsPerTeaspoon, Mass.grams(1000)), FormulaCheck.MOST_OF_ONE_FAT);
        }
        return dose;
    }

    private void checkMass(String field, Mass mass, Mass most) {
        if (mass.grams() < 0) {
            problems.add(field, ProblemKey.TOO_LOW, "A mass", mass, Mass.ZERO);
        } else if (mass.isMoreThan(most)) {
            problems.add(field, ProblemKey.TOO_HIGH, "A mass", mass, most);
        }
    }

    void noChoice(String field, String text) {
        problems.add(field, ProblemKey.NOT_A_CHOICE, text);
    }

    <E extends Enum<E>> E choice(String field, String text, Class<E> type, E otherwise) {
        if (text.isBlank()) {
            return otherwise;
        }
        try {
            return Enum.valueOf(type, text);
        } catch (IllegalArgumentException e) {
            problems.add(field, ProblemKey.NOT_A_CHOICE, text);
            return otherwise;
        }
    }
}
