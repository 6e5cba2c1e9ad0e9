package io.causticon.web.store.account;

import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Sign-ins that count no more from this moment on; told so that what they hold open ends with them.
 *
 * @param signIn the one; null for all of an account
 * @param account whose all; null for one
 * @param but one that stays; null for none
 */
public record SignInsEnded(
        @Nullable UUID signIn,
        @Nullable UUID account,
        @Nullable UUID but) {

    static SignInsEnded one(UUID signIn) {
        return new SignInsEnded(signIn, null, null);
    }

    static SignInsEnded allOf(UUID account, @Nullable UUID but) {
        return new SignInsEnded(null, account, but);
    }

    public boolean concerns(SignedIn who) {
        return who.signIn().equals(signIn)
                || who.account().equals(account) && !who.signIn().equals(but);
    }
}
