package io.causticon.web.batch;

import java.util.UUID;

/** Names a batch. */
public record BatchId(UUID value) {

    @Override
    public String toString() {
        return value.toString();
    }
}
