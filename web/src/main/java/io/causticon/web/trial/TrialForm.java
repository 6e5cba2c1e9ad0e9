package io.causticon.web.trial;

import org.jspecify.annotations.Nullable;

/**
 * A question as it is typed.
 *
 * @param question in the maker's words
 * @param factor what differs on purpose
 * @param batch whose parts are compared; empty where batches are
 * @param codes of the batches that are compared, parted by commas
 * @param control the name of the arm that the others are compared with
 * @param coded whether judges see letters
 */
record TrialForm(
        @Nullable String question, @Nullable String factor, @Nullable String batch, @Nullable String codes, @Nullable String control, @Nullable String coded) {

    static final TrialForm EMPTY = new TrialForm("", "", "", "", "", "yes");

    static String trimmed(@Nullable String text) {
        return text == null ? "" : text.strip();
    }
}
