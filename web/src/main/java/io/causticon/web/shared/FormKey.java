package io.causticon.web.shared;

import java.nio.charset.StandardCharsets;
import java.util.UUID;

/** The key by which a form that is sent twice is taken once, in a length that can be stored. */
public final class FormKey {

    private FormKey() {}

    /** The same for the same key; a fresh one for none, as forms without a key have nothing in common. */
    public static String of(String sent) {
        return UUID.nameUUIDFromBytes(
                        (sent.isBlank() ? UUID.randomUUID().toString() : sent).getBytes(StandardCharsets.UTF_8))
                .toString();
    }
}
