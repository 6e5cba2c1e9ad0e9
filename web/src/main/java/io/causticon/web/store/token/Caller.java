package io.causticon.web.store.token;

import io.causticon.web.store.account.Maker;
import java.util.Set;
import java.util.UUID;

/**
 * A program that asks.
 *
 * @param token id of its token
 * @param name what the token is called
 * @param scopes what it may do
 * @param maker for whom it does so
 */
public record Caller(UUID token, String name, Set<Scope> scopes, Maker maker) {

    private static final int LONGEST = 60;

    /** What stands beside the lines that it adds. */
    public String signature() {
        String all = name + ", for " + maker.displayName();
        return all.length() <= LONGEST ? all : all.substring(0, LONGEST);
    }
}
