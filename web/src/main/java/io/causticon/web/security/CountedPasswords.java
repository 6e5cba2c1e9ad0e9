package io.causticon.web.security;

import io.causticon.web.store.account.Knock;
import io.causticon.web.store.account.PasswordTries;
import io.causticon.web.store.account.SignedIn;
import java.time.Duration;
import org.jspecify.annotations.Nullable;
import org.springframework.security.authentication.AccountStatusException;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.crypto.password.PasswordEncoder;

/**
 * Looks at the password of whoever signs in, and counts each try first: whatever address or spelling brought somebody
 * here, there is no way to a password past this.
 */
final class CountedPasswords extends DaoAuthenticationProvider {

    private final PasswordTries tries;

    CountedPasswords(UserDetailsService accounts, PasswordEncoder passwords, PasswordTries tries) {
        super(accounts);
        setPasswordEncoder(passwords);
        this.tries = tries;
    }

    /** Too many tries came before this one. */
    static final class TooSoonException extends LockedException {

        private static final long serialVersionUID = 1L;
        private final long seconds;

        TooSoonException(Duration wait) {
            super("too many tries");
            this.seconds = wait.toSeconds() + 1;
        }

        long seconds() {
            return seconds;
        }
    }

    /** The password is right, but she wants to be asked for a passkey too. */
    static final class PasskeyWantedException extends AccountStatusException {

        private static final long serialVersionUID = 1L;
        private final transient SignedIn who;

        PasskeyWantedException(SignedIn who) {
            super("a passkey is asked for too");
            this.who = who;
        }

        SignedIn who() {
            return who;
        }
    }

    @Override
    public @Nullable Authentication authenticate(Authentication typed) {
        if (!(typed.getDetails() instanceof AtTheDoor door)) {
            throw new IllegalStateException("Impossible state: a password from nowhere");
        }
        if (door.showsPasskey()) {
            return null;
        }
        Knock knock = door.knock();
        Duration wait = tries.tryNow(typed.getName(), knock);
        if (!wait.isZero()) {
            throw new TooSoonException(wait);
        }
        Authentication right = super.authenticate(typed);
        tries.succeeded(typed.getName(), knock);
        if (right.getPrincipal() instanceof SignedIn who && who.wantsPasskeyToo()) {
            throw new PasskeyWantedException(who);
        }
        return right;
    }
}
