package io.causticon.web.security;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.server.PathContainer;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.util.pattern.PathPattern;
import org.springframework.web.util.pattern.PathPatternParser;

/**
 * Asks for the password again before what would hand the workshop to somebody else, where it was not typed lately: a
 * tablet that was left lying is signed in for weeks.
 */
@Configuration(proxyBeanMethods = false)
class PasswordAgain implements WebMvcConfigurer, HandlerInterceptor {

    /** A password that was typed so long ago still counts. */
    static final Duration LATELY = Duration.ofMinutes(15);

    private static final String TYPED_AT = PasswordAgain.class.getName();

    /**
     * What is asked for again.
     *
     * @param method that it is done with
     * @param pattern of its address
     */
    private record Guarded(HttpMethod method, PathPattern pattern) {

        Guarded(HttpMethod method, String pattern) {
            this(method, PathPatternParser.defaultInstance.parse(pattern));
        }

        boolean isMeant(HttpMethod asked, String path) {
            return method.equals(asked) && pattern.matches(PathContainer.parsePath(path));
        }
    }

    private static final List<Guarded> GUARDED = List.of(
            new Guarded(HttpMethod.POST, "/people"),
            new Guarded(HttpMethod.POST, "/people/role"),
            new Guarded(HttpMethod.POST, "/people/tokens"),
            new Guarded(HttpMethod.POST, "/settings/passkeys"),
            new Guarded(HttpMethod.POST, "/settings/passkeys/{id}/away"),
            new Guarded(HttpMethod.POST, "/settings/passkeys/too"),
            new Guarded(HttpMethod.POST, "/backups"),
            new Guarded(HttpMethod.GET, "/backups/{name}"),
            new Guarded(HttpMethod.GET, "/carry/{kind}.zip"));

    private final Clock clock;

    PasswordAgain(Clock clock) {
        this.clock = clock;
    }

    /** Thrown where the password has to be typed first. */
    static final class WantedException extends RuntimeException {

        private static final long serialVersionUID = 1L;

        WantedException() {
            super("the password is asked for again");
        }
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        String pattern = String.valueOf(request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE));
        boolean guarded = GUARDED.stream()
                .anyMatch(g -> g.method().matches(request.getMethod())
                        && g.pattern().getPatternString().equals(pattern));
        if (guarded && request.getUserPrincipal() != null && !typedLately(request.getSession(false))) {
            throw new WantedException();
        }
        return true;
    }

    private boolean typedLately(@Nullable HttpSession session) {
        return session != null
                && session.getAttribute(TYPED_AT) instanceof Instant at
                && clock.instant().isBefore(at.plus(LATELY));
    }

    /** The password was just found to be right. */
    void typed(HttpServletRequest request) {
        request.getSession().setAttribute(TYPED_AT, clock.instant());
    }

    /** Whether what stands behind an address is guarded, so that nobody is led anywhere else. */
    static boolean isGuarded(HttpMethod method, String path) {
        return GUARDED.stream().anyMatch(g -> g.isMeant(method, path));
    }
}
