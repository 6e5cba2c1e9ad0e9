package io.causticon.web.security;

import io.causticon.web.shared.CookieNames;
import io.causticon.web.store.account.RememberKey;
import io.causticon.web.store.account.SignedIn;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.stereotype.Component;
import org.springframework.web.util.WebUtils;

/**
 * Keeps for a few minutes, in a sealed cookie, that somebody's password was right who wants to be asked for a passkey
 * too. It opens nothing by itself.
 */
@Component
class PasswordFirst {

    private static final Duration GOOD_FOR = Duration.ofMinutes(5);
    private static final String BETWEEN = ".";

    private final Seal seal;
    private final Clock clock;
    private final String cookie;

    PasswordFirst(RememberKey key, CookieNames names, Clock clock) {
        this.seal = new Seal(key, "password first");
        this.clock = clock;
        this.cookie = names.of("causticon-password-was-right");
    }

    void keep(SignedIn who, HttpServletRequest request, HttpServletResponse response) {
        long until = clock.instant().plus(GOOD_FOR).getEpochSecond();
        String value = until + BETWEEN + seal.of(mark(who, until));
        response.addCookie(OwnCookie.of(cookie, value, GOOD_FOR, request));
    }

    void forget(HttpServletRequest request, HttpServletResponse response) {
        response.addCookie(OwnCookie.of(cookie, "", Duration.ZERO, request));
    }

    /** What a request carries of it; empty where it carries nothing. */
    String shownBy(HttpServletRequest request) {
        Cookie shown = WebUtils.getCookie(request, cookie);
        return shown == null ? "" : shown.getValue();
    }

    /** Whether this very password of hers was right, a moment ago. */
    boolean wasRight(SignedIn who, String shown) {
        int between = shown.indexOf(BETWEEN);
        if (between < 0) {
            return false;
        }
        try {
            long until = Long.parseLong(shown.substring(0, between));
            return seal.isOf(shown.substring(between + 1), mark(who, until))
                    && clock.instant().isBefore(Instant.ofEpochSecond(until));
        } catch (NumberFormatException e) {
            return false;
        }
    }

    private static String mark(SignedIn who, long until) {
        return who.account() + " " + who.credentialVersion() + " " + until;
    }
}
