package io.causticon.web.store.account;

import java.io.Serializable;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Where a password was typed.
 *
 * @param address that the request came from
 * @param known id of the browser, where this name signed in there before; null where it did not
 */
public record Knock(String address, @Nullable String known) implements Serializable {

    Optional<String> browser() {
        return Optional.ofNullable(known);
    }
}
