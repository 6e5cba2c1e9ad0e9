package io.causticon.web.security;

import io.causticon.web.store.account.Knock;
import io.causticon.web.store.account.PasswordTries;
import java.time.Duration;
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

    @Override
    public Authentication authenticate(Authentication typed) {
        if (!(typed.getDetails() instanceof Knock knock)) {
            throw new IllegalStateException("Impossible state: a password from nowhere");
        }
        Duration wait = tries.tryNow(typed.getName(), knock);
        if (!wait.isZero()) {
            throw new TooSoonException(wait);
        }
        Authentication right = super.authenticate(typed);
        tries.succeeded(typed.getName(), knock);
        return right;
    }
}
