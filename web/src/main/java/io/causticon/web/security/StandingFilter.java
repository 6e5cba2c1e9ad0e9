package io.causticon.web.security;

import io.causticon.web.store.account.Maker;
import io.causticon.web.store.account.SignIns;
import io.causticon.web.store.account.SignedIn;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.util.Optional;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Looks with every request whether who is signed in still is, and what she may do now. A power that was taken away is
 * gone with the next.
 */
final class StandingFilter extends OncePerRequestFilter {

    /** Of the request: the {@link Maker} who sent it, as she is now; none where nobody is signed in. */
    static final String MAKER = Maker.class.getName();

    private final SignIns signIns;
    private final RememberedBrowsers browsers;

    StandingFilter(SignIns signIns, RememberedBrowsers browsers) {
        this.signIns = signIns;
        this.browsers = browsers;
    }

    /** What everybody may load says nothing of who she is. */
    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String path = request.getRequestURI();
        return path.startsWith("/css/") || path.startsWith("/js/") || path.startsWith("/fonts/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Authentication now = SecurityContextHolder.getContext().getAuthentication();
        if (now != null && now.getPrincipal() instanceof SignedIn who) {
            Optional<SignIns.Standing> standing = signIns.standing(who.signIn());
            if (standing.isEmpty()) {
                end(request, response);
            } else {
                if (standing.get().renew()) {
                    browsers.renew(request, response, who.signIn());
                }
                Maker maker = standing.get().maker();
                request.setAttribute(MAKER, maker);
                if (maker.role() != who.role()) {
                    become(who.as(maker.role()));
                }
            }
        }
        chain.doFilter(request, response);
    }

    private void end(HttpServletRequest request, HttpServletResponse response) {
        SecurityContextHolder.clearContext();
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        browsers.forget(request, response);
    }

    private static void become(SignedIn who) {
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(who, null, who.getAuthorities()));
        SecurityContextHolder.setContext(context);
    }
}
