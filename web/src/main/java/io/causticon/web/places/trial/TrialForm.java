package io.causticon.web.places.trial;

import io.causticon.core.model.plan.Aspect;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A question as it is typed: of what is there, or with arms to be made from a recipe.
 *
 * @param question in the maker's words
 * @param kind what differs on purpose
 * @param factor the same in the maker's words; may be empty
 * @param batch whose parts are compared; empty where batches are
 * @param codes of the batches that are compared, parted by commas
 * @param control the name of the arm that the others are compared with; empty for the first where arms are made
 * @param coded whether judges see letters
 * @param recipe that arms are made from
 * @param things what differs from arm to arm, a line each
 * @param dose of what goes into each, per cent of its fats
 * @param fats in each batch, or in all cups together
 * @param way {@code CUPS} of one batter, or {@code BATCHES}
 */
record TrialForm(
        @Nullable String question,
        @Nullable String kind,
        @Nullable String factor,
        @Nullable String batch,
        @Nullable String codes,
        @Nullable String control,
        @Nullable String coded,
        @Nullable String recipe,
        @Nullable String things,
        @Nullable String dose,
        @Nullable String fats,
        @Nullable String way) {

    static final TrialForm EMPTY = new TrialForm("", "LIQUID", "", "", "", "", "yes", "", "", "", "", "CUPS");

    static String trimmed(@Nullable String text) {
        return text == null ? "" : text.strip();
    }

    /** Empty for what is no factor. */
    Optional<Aspect.Factor> factorKind() {
        return Arrays.stream(Aspect.Factor.values())
                .filter(f -> f.name().equals(trimmed(kind)))
                .findFirst();
    }

    /** Lines of what differs, each once. */
    List<String> lines() {
        return Arrays.stream(trimmed(things).split("[\\r\\n,;]+"))
                .map(String::strip)
                .filter(l -> !l.isEmpty())
                .distinct()
                .toList();
    }
}
