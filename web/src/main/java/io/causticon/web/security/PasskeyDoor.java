package io.causticon.web.security;

import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.PasswordTries;
import io.causticon.web.store.account.SignedIn;
import java.time.Duration;
import org.jspecify.annotations.Nullable;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;

/** Lets in whoever shows a passkey instead of a password, or beside it where she wants both. */
final class PasskeyDoor implements AuthenticationProvider {

    private final PasskeySignatures signatures;
    private final AccountService accounts;
    private final PasswordTries tries;
    private final PasswordFirst passwordFirst;

    PasskeyDoor(
            PasskeySignatures signatures, AccountService accounts, PasswordTries tries, PasswordFirst passwordFirst) {
        this.signatures = signatures;
        this.accounts = accounts;
        this.tries = tries;
        this.passwordFirst = passwordFirst;
    }

    /** What was signed opens nothing here. */
    static final class UnknownPasskeyException extends BadCredentialsException {

        private static final long serialVersionUID = 1L;

        UnknownPasskeyException() {
            super("no such passkey");
        }
    }

    /** The passkey is right, but she wants to be asked for her password too. */
    static final class PasswordWantedException extends BadCredentialsException {

        private static final long serialVersionUID = 1L;

        PasswordWantedException() {
            super("the password is asked for too");
        }
    }

    @Override
    public boolean supports(Class<?> kind) {
        return UsernamePasswordAuthenticationToken.class.isAssignableFrom(kind);
    }

    @Override
    public @Nullable Authentication authenticate(Authentication shown) {
        if (!(shown.getDetails() instanceof AtTheDoor door) || !door.showsPasskey()) {
            return null;
        }
        Duration wait = tries.tryFrom(door.knock());
        if (!wait.isZero()) {
            throw new CountedPasswords.TooSoonException(wait);
        }
        SignedIn who = signatures.whose(door).flatMap(accounts::signedIn).orElseThrow(UnknownPasskeyException::new);
        tries.rightFrom(door.knock());
        if (who.wantsPasskeyToo() && !passwordFirst.wasRight(who, door.passwordWas())) {
            throw new PasswordWantedException();
        }
        UsernamePasswordAuthenticationToken in =
                UsernamePasswordAuthenticationToken.authenticated(who, null, who.getAuthorities());
        in.setDetails(door);
        return in;
    }
}
