package io.causticon.web.security;

import io.causticon.web.shared.CookieNames;
import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.Knock;
import io.causticon.web.store.account.RememberKey;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.web.util.WebUtils;

/**
 * Knows the browsers in which somebody signed in before, by a cookie that they keep: an id of the browser, and a seal
 * for each name. It opens nothing; it only keeps strangers' guesses from shutting her out.
 */
@Component
public class KnownBrowsers {

    private static final String COOKIE = "causticon-browser";
    private static final Duration KEPT = Duration.ofDays(400);
    private static final int MOST_NAMES = 6;
    private static final int LONGEST = 400;

    private final Seal seal;
    private final String cookieName;

    KnownBrowsers(RememberKey key, CookieNames names) {
        this.cookieName = names.of(COOKIE);
        this.seal = new Seal(key, "browser");
    }

    /** From where a request comes that has to do with this name. */
    public Knock knock(String name, HttpServletRequest request) {
        return new Knock(request.getRemoteAddr(), knownAs(name, request).orElse(null));
    }

    /** The browser's id, if this name signed in there before. */
    private Optional<String> knownAs(String typed, HttpServletRequest request) {
        String name = AccountService.normal(typed);
        List<String> parts = parts(request);
        return parts.stream()
                .skip(1)
                .filter(shown -> seal.isOf(shown, mark(parts.get(0), name)))
                .findFirst()
                .map(shown -> parts.get(0));
    }

    /** Remembers that this name signed in here. */
    void remember(String typed, HttpServletRequest request, HttpServletResponse response) {
        String name = AccountService.normal(typed);
        List<String> known = parts(request);
        String id = known.isEmpty() ? UUID.randomUUID().toString() : known.get(0);
        List<String> parts = new ArrayList<>(List.of(id, seal.of(mark(id, name))));
        known.stream()
                .skip(1)
                .filter(s -> !parts.contains(s))
                .limit(MOST_NAMES - 1L)
                .forEach(parts::add);
        response.addCookie(OwnCookie.of(cookieName, String.join(".", parts), KEPT, request));
    }

    private List<String> parts(HttpServletRequest request) {
        Cookie cookie = WebUtils.getCookie(request, cookieName);
        return cookie == null
                        || cookie.getValue().isEmpty()
                        || cookie.getValue().length() > LONGEST
                ? List.of()
                : Arrays.stream(cookie.getValue().split("\\."))
                        .filter(p -> !p.isEmpty())
                        .limit(MOST_NAMES + 1L)
                        .toList();
    }

    private static String mark(String id, String name) {
        return id + " " + name;
    }
}
