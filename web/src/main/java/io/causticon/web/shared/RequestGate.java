package io.causticon.web.shared;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Turns away, before anybody reads them, forms that are larger than anything that can be typed and forms that cannot be
 * read at all: cut off, or of a kind that they are not. The container has the same limit for bodies that do not tell
 * their length.
 */
@Component
@Order(RequestGate.BEHIND_THE_ENCODING)
class RequestGate extends OncePerRequestFilter {

    /**
     * Whoever asks for a field first has all of them decoded: as the pages are written only once the filter of
     * encodings has said so.
     */
    static final int BEHIND_THE_ENCODING = Ordered.HIGHEST_PRECEDENCE + 1;

    private static final long LARGEST_FORM = 256L * 1024;
    private static final String KEPT = "Nothing was changed; go back and what you typed is still there.";

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String type = request.getContentType();
        boolean form = type != null && type.startsWith(MediaType.APPLICATION_FORM_URLENCODED_VALUE);
        if (form && request.getContentLengthLong() > LARGEST_FORM) {
            refuse(response, HttpStatus.CONTENT_TOO_LARGE, "That is too large", "A form may have 256 kB. " + KEPT);
        } else if (!isReadable(request)) {
            refuse(
                    response,
                    HttpStatus.BAD_REQUEST,
                    "That could not be read",
                    "The form broke off on its way, or is too large. " + KEPT);
        } else {
            chain.doFilter(request, response);
        }
    }

    /** The container reads all fields at once, and throws at whoever is the first to ask for one. */
    private static boolean isReadable(HttpServletRequest request) {
        try {
            return request.getParameterMap().keySet().stream()
                    .noneMatch(n -> n.codePoints().anyMatch(Character::isISOControl));
        } catch (IllegalStateException e) {
            return false;
        }
    }

    private static void refuse(HttpServletResponse response, HttpStatus status, String title, String words)
            throws IOException {
        response.setStatus(status.value());
        response.setContentType("text/html;charset=UTF-8");
        response.setHeader("Content-Security-Policy", "default-src 'none'; frame-ancestors 'none'");
        response.setHeader("X-Content-Type-Options", "nosniff");
        response.setHeader("X-Frame-Options", "DENY");
        response.setHeader("Referrer-Policy", "same-origin");
        response.setHeader("Cache-Control", "no-store");
        response.getWriter()
                .write("<!doctype html><title>" + title + "</title><h1>" + title + "</h1><p>" + words + "</p>");
    }
}
