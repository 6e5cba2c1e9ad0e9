package io.causticon.web.store.batch;

import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** The key by which something that a browser sends twice is taken once, in a length that can be stored. */
final class ClientKey {

    private static final int LONGEST = 60;

    private ClientKey() {}

    /** The same for the same key; a fresh one for none, as forms without a key have nothing in common. */
    static String of(@Nullable String sent) {
        if (sent == null || sent.isBlank()) {
            return UUID.randomUUID().toString();
        }
        return sent.length() <= LONGEST
                ? sent
                : UUID.nameUUIDFromBytes(sent.getBytes(StandardCharsets.UTF_8)).toString();
    }
}
