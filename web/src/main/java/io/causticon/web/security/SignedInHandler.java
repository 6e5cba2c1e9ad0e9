package io.causticon.web.security;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Optional;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.authentication.AuthenticationSuccessHandler;
import org.springframework.security.web.savedrequest.RequestCache;
import org.springframework.security.web.savedrequest.SavedRequest;

/**
 * Leads on to the page that was asked for, by its path alone: whatever host a request claimed, nobody is sent there.
 */
final class SignedInHandler implements AuthenticationSuccessHandler {

    private final KnownBrowsers browsers;
    private final RequestCache asked;
    private final PasswordAgain again;
    private final PasswordFirst passwordFirst;

    SignedInHandler(
            KnownBrowsers browsers, RequestCache asked, PasswordAgain again, PasswordFirst passwordFirst) {
        this.browsers = browsers;
        this.again = again;
        this.asked = asked;
        this.passwordFirst = passwordFirst;
    }

    @Override
    public void onAuthenticationSuccess(HttpServletRequest request, HttpServletResponse response, Authentication who)
            throws IOException {
        browsers.remember(who.getName(), request, response);
        again.typed(request);
        if (!passwordFirst.shownBy(request).isEmpty()) {
            passwordFirst.forget(request, response);
        }
        String path = Optional.ofNullable(asked.getRequest(request, response))
                .map(SignedInHandler::path)
                .orElse("/");
        asked.removeRequest(request, response);
        response.sendRedirect(path);
    }

    private static String path(SavedRequest saved) {
        try {
            URI uri = URI.create(saved.getRedirectUrl());
            String path = uri.getRawPath() + (uri.getRawQuery() == null ? "" : "?" + uri.getRawQuery());
            return path.startsWith("/") && !path.startsWith("//") && !path.startsWith("/error") ? path : "/";
        } catch (IllegalArgumentException e) {
            return "/";
        }
    }
}
