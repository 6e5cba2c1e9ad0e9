package io.causticon.web.store.batch;

import java.util.Optional;
import java.util.UUID;

/** Names a batch. */
public record BatchId(UUID value) {

    /**
     * As it stands in an address.
     *
     * @throws IllegalArgumentException if the text is no id
     */
    public static BatchId of(String text) {
        return new BatchId(UUID.fromString(text));
    }

    /** The same for what may be anything; empty if it is no id. */
    public static Optional<BatchId> read(String text) {
        try {
            return text.isBlank() ? Optional.empty() : Optional.of(of(text.trim()));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    @Override
    public String toString() {
        return value.toString();
    }
}
