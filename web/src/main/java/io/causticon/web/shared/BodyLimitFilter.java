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
 * Turns away forms that are larger than anything that can be typed, before anybody reads them. The container has the same limit for
 * bodies that do not tell their length.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BodyLimitFilter extends OncePerRequestFilter {

    private static final long LARGEST_FORM = 256L * 1024;

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String type = request.getContentType();
        boolean form = type != null && type.startsWith(MediaType.APPLICATION_FORM_URLENCODED_VALUE);
        if (form && request.getContentLengthLong() > LARGEST_FORM) {
            response.setStatus(HttpStatus.CONTENT_TOO_LARGE.value());
            response.setContentType("text/html;charset=UTF-8");
            response.setHeader("Content-Security-Policy", "default-src 'none'");
            response.getWriter()
                    .write("<!doctype html><title>Too large</title><h1>That is too large</h1><p>A form may have 256 kB."
                            + " Nothing was changed; go back and what you typed is still there.</p>");
            return;
        }
        chain.doFilter(request, response);
    }
}
