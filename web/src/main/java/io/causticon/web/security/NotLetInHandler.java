package io.causticon.web.security;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.authentication.AuthenticationFailureHandler;

/** Leads back to the door, which says what is wrong, or what is asked for next. */
final class NotLetInHandler implements AuthenticationFailureHandler {

    private final PasswordFirst passwordFirst;

    NotLetInHandler(PasswordFirst passwordFirst) {
        this.passwordFirst = passwordFirst;
    }

    @Override
    public void onAuthenticationFailure(
            HttpServletRequest request, HttpServletResponse response, AuthenticationException why) throws IOException {
        if (why instanceof CountedPasswords.PasskeyWantedException wanted) {
            passwordFirst.keep(wanted.who(), request, response);
        }
        response.sendRedirect("/sign-in?" + asked(why));
    }

    private static String asked(AuthenticationException why) {
        if (why instanceof CountedPasswords.TooSoonException soon) {
            return "wait=" + soon.seconds();
        } else if (why instanceof CountedPasswords.PasskeyWantedException) {
            return "next=passkey";
        } else if (why instanceof PasskeyDoor.PasswordWantedException) {
            return "next=password";
        } else if (why instanceof PasskeyDoor.UnknownPasskeyException) {
            return "wrong=passkey";
        }
        return "wrong";
    }
}
