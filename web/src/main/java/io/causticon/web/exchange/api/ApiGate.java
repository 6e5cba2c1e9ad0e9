package io.causticon.web.exchange.api;

import io.causticon.web.shared.RateLimits;
import io.causticon.web.store.token.AccessTokens;
import io.causticon.web.store.token.Caller;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/** Lets in whoever shows a token that is one, within its rate. Scopes are looked at behind it. */
final class ApiGate extends OncePerRequestFilter {

    private static final String BEARER = "Bearer ";
    private static final int MOST_BYTES = 16 * 1024;
    private static final String PLACES = "/api/v1/";

    private final AccessTokens tokens;
    private final RateLimits limits;
    private final JsonMapper json;

    ApiGate(AccessTokens tokens, RateLimits limits, JsonMapper json) {
        this.tokens = tokens;
        this.limits = limits;
        this.json = json;
    }

    /** What the interface is, anybody may read. */
    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith(PLACES);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String shown = Optional.ofNullable(request.getHeader(HttpHeaders.AUTHORIZATION))
                .orElse("");
        String address = request.getRemoteAddr();
        Optional<Caller> caller = shown.startsWith(BEARER)
                ? tokens.caller(shown.substring(BEARER.length()).trim())
                : Optional.empty();
        RateLimits.Left left = caller.map(c -> limits.asked(c.token())).orElseGet(() -> limits.refused(address));
        // As the draft of the HTTP working group names them.
        response.setHeader("RateLimit-Policy", "\"minute\";q=" + left.most() + ";w=60");
        response.setHeader("RateLimit", "\"minute\";r=" + left.left() + ";t=" + left.seconds());
        if (!left.allowed()) {
            response.setHeader(HttpHeaders.RETRY_AFTER, Long.toString(Math.max(1, left.seconds())));
            refuse(
                    response,
                    HttpStatus.TOO_MANY_REQUESTS,
                    "Too often. Ask again in " + Math.max(1, left.seconds()) + " s.");
        } else if (caller.isEmpty()) {
            response.setHeader(HttpHeaders.WWW_AUTHENTICATE, "Bearer");
            refuse(
                    response,
                    HttpStatus.UNAUTHORIZED,
                    "No such token. The owner of the workshop makes one under Settings, Programs; send Authorization:"
                            + " Bearer <token>.");
        } else if (HttpMethod.POST.matches(request.getMethod()) && request.getContentLengthLong() < 0) {
            refuse(response, HttpStatus.LENGTH_REQUIRED, "Send how long the body is (Content-Length).");
        } else if (request.getContentLengthLong() > MOST_BYTES) {
            refuse(response, HttpStatus.CONTENT_TOO_LARGE, "A line has at most " + MOST_BYTES + " bytes.");
        } else {
            signIn(caller.get());
            chain.doFilter(request, response);
        }
    }

    private static void signIn(Caller caller) {
        List<SimpleGrantedAuthority> may = caller.scopes().stream()
                .map(s -> new SimpleGrantedAuthority(s.name()))
                .toList();
        var context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(new UsernamePasswordAuthenticationToken(caller, null, may) {
            private static final long serialVersionUID = 1L;

            @Override
            public String getName() {
                return caller.signature();
            }
        });
        SecurityContextHolder.setContext(context);
    }

    /** Says no as RFC 9457 has it. */
    void refuse(HttpServletResponse response, HttpStatus status, String why) throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.getOutputStream()
                .write(json.writeValueAsString(ProblemDetail.forStatusAndDetail(status, why))
                        .getBytes(StandardCharsets.UTF_8));
    }
}
