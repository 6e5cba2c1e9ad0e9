package io.causticon.web.security;

import io.causticon.web.shared.CookieNames;
import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.SignIns;
import io.causticon.web.store.account.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.Base64;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.web.authentication.rememberme.AbstractRememberMeServices;
import org.springframework.security.web.authentication.rememberme.InvalidCookieException;

/**
 * Lets a browser be remembered, so that a tap that waited while the server was away is still hers. Its cookie names a
 * sign-in that the server keeps; signing out takes that away, and with it every copy of the cookie.
 */
public final class RememberedBrowsers extends AbstractRememberMeServices {

    static final String COOKIE = "causticon-remember";
    private static final int SECRET_BYTES = 24;

    private final SignIns signIns;
    private final AccountService accounts;
    private final SecureRandom random = new SecureRandom();

    RememberedBrowsers(String key, CookieNames names, AccountService accounts, SignIns signIns) {
        super(key, (UserDetailsService) accounts);
        this.accounts = accounts;
        this.signIns = signIns;
        setAlwaysRemember(true);
        setCookieName(names.of(COOKIE));
        setTokenValiditySeconds((int) SignIns.KEPT.toSeconds());
    }

    @Override
    protected void onLoginSuccess(
            HttpServletRequest request, HttpServletResponse response, Authentication authentication) {
        SignedIn who = (SignedIn) authentication.getPrincipal();
        byte[] bytes = new byte[SECRET_BYTES];
        random.nextBytes(bytes);
        String secret = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        signIns.begin(who, secret);
        setCookie(new String[] {who.signIn().toString(), secret}, getTokenValiditySeconds(), request, response);
    }

    @Override
    protected UserDetails processAutoLoginCookie(
            String[] tokens, HttpServletRequest request, HttpServletResponse response) {
        Remembered remembered = Remembered.of(tokens);
        String name = signIns.remembered(remembered.signIn(), remembered.secret())
                .orElseThrow(() -> new InvalidCookieException("not remembered any more"));
        return accounts.loadUserByUsername(name).by(remembered.signIn());
    }

    /** Whose cookie a request carries, without signing her in; empty where it carries none that counts. */
    Optional<String> remembered(HttpServletRequest request) {
        String cookie = extractRememberMeCookie(request);
        if (cookie == null || cookie.isEmpty()) {
            return Optional.empty();
        }
        try {
            Remembered remembered = Remembered.of(decodeCookie(cookie));
            return signIns.remembered(remembered.signIn(), remembered.secret());
        } catch (InvalidCookieException e) {
            return Optional.empty();
        }
    }

    /** Makes cookie and sign-in last from now on. */
    void renew(HttpServletRequest request, HttpServletResponse response, UUID signIn) {
        String cookie = extractRememberMeCookie(request);
        if (cookie != null && !cookie.isEmpty()) {
            setCookie(decodeCookie(cookie), getTokenValiditySeconds(), request, response);
        }
        signIns.renew(signIn);
    }

    @Override
    public void logout(
            HttpServletRequest request, HttpServletResponse response, @Nullable Authentication authentication) {
        if (authentication != null && authentication.getPrincipal() instanceof SignedIn who) {
            signIns.end(who.signIn());
        }
        String cookie = extractRememberMeCookie(request);
        if (cookie != null && !cookie.isEmpty()) {
            try {
                Remembered remembered = Remembered.of(decodeCookie(cookie));
                signIns.end(remembered.signIn(), remembered.secret());
            } catch (InvalidCookieException e) {
                logger.debug("A cookie that is none");
            }
        }
        forget(request, response);
    }

    void forget(HttpServletRequest request, HttpServletResponse response) {
        cancelCookie(request, response);
    }

    @Override
    protected void setCookie(String[] tokens, int maxAge, HttpServletRequest request, HttpServletResponse response) {
        response.addCookie(
                OwnCookie.of(getCookieName(), encodeCookie(tokens), Duration.ofSeconds(maxAge), request));
    }

    @Override
    protected void cancelCookie(HttpServletRequest request, HttpServletResponse response) {
        response.addCookie(OwnCookie.of(getCookieName(), "", Duration.ZERO, request));
    }

    /** What a cookie says. */
    private record Remembered(UUID signIn, String secret) {

        static Remembered of(String[] tokens) {
            try {
                if (tokens.length == 2) {
                    return new Remembered(UUID.fromString(tokens[0]), tokens[1]);
                }
            } catch (IllegalArgumentException e) {
                // Told below.
            }
            throw new InvalidCookieException("not a cookie of ours");
        }
    }
}
