package io.causticon.web.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.security.authentication.event.AbstractAuthenticationFailureEvent;
import org.springframework.security.authentication.event.AuthenticationSuccessEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Turns away sign-ins that come too fast, before any password is looked at. */
@Component
class ThrottleFilter extends OncePerRequestFilter {

    static final String NAME = "name";

    private final SignInThrottle throttle;

    ThrottleFilter(SignInThrottle throttle) {
        this.throttle = throttle;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if ("POST".equals(request.getMethod()) && "/sign-in".equals(request.getRequestURI())) {
            Duration wait = throttle.waitFor(key(request.getParameter(NAME)));
            if (!wait.isZero()) {
                response.sendRedirect("/sign-in?wait=" + (wait.toSeconds() + 1));
                return;
            }
        }
        chain.doFilter(request, response);
    }

    @EventListener
    void failed(AbstractAuthenticationFailureEvent event) {
        throttle.failed(key(event.getAuthentication().getName()));
    }

    @EventListener
    void succeeded(AuthenticationSuccessEvent event) {
        throttle.succeeded(key(event.getAuthentication().getName()));
    }

    private static String key(@Nullable String name) {
        return name == null ? "" : name.trim().toLowerCase(Locale.ROOT);
    }
}
