package io.causticon.web.security;

import io.causticon.web.store.account.AccountService;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Turns away sign-ins that come too fast, before any password is looked at. */
@Component
class ThrottleFilter extends OncePerRequestFilter {

    static final String NAME = "name";
    private static final String COUNTED = ThrottleFilter.class.getName();
    private static final int LONGEST_NAME = 60;
    /** Of an IPv6 address, as a whole block of them belongs to one household. */
    private static final int BLOCK = 4;

    private final SignInThrottle throttle;
    private final KnownBrowsers browsers;

    ThrottleFilter(SignInThrottle throttle, KnownBrowsers browsers) {
        this.throttle = throttle;
        this.browsers = browsers;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if ("POST".equals(request.getMethod()) && "/sign-in".equals(request.getRequestURI())) {
            List<SignInThrottle.Key> keys = keys(request);
            Duration wait = throttle.tryNow(keys);
            if (!wait.isZero()) {
                response.sendRedirect("/sign-in?wait=" + (wait.toSeconds() + 1));
                return;
            }
            request.setAttribute(COUNTED, keys);
        }
        chain.doFilter(request, response);
    }

    /** The password was right: what was counted for it counts no more, and the browser is known from now on. */
    void succeeded(String name, HttpServletRequest request, HttpServletResponse response) {
        if (request.getAttribute(COUNTED) instanceof List<?> keys) {
            throttle.succeeded(keys.stream().map(SignInThrottle.Key.class::cast).toList());
        }
        browsers.remember(name, request, response);
    }

    private List<SignInThrottle.Key> keys(HttpServletRequest request) {
        String typed = Optional.ofNullable(request.getParameter(NAME)).orElse("");
        String name = AccountService.normal(typed.length() > LONGEST_NAME ? typed.substring(0, LONGEST_NAME) : typed);
        return browsers.knownAs(name, request)
                .map(b -> List.of(new SignInThrottle.Key(SignInThrottle.Kind.BROWSER, b + " " + name)))
                .orElseGet(() -> List.of(
                        new SignInThrottle.Key(SignInThrottle.Kind.ADDRESS, block(request.getRemoteAddr())),
                        new SignInThrottle.Key(SignInThrottle.Kind.NAME, name)));
    }

    private static String block(String address) {
        String[] parts = address.split(":", -1);
        return parts.length <= BLOCK ? address : String.join(":", List.of(parts).subList(0, BLOCK));
    }
}
