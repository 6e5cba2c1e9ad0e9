package io.causticon.web.security;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;

/** A cookie that no script reads, that comes from this site's own pages alone, and over TLS where the page did. */
final class OwnCookie {

    private OwnCookie() {}

    /** @param lasts how long; nothing takes away what is there */
    static Cookie of(String name, String value, Duration lasts, HttpServletRequest request) {
        Cookie cookie = new Cookie(name, value);
        cookie.setMaxAge((int) lasts.toSeconds());
        cookie.setPath("/");
        cookie.setHttpOnly(true);
        cookie.setSecure(request.isSecure());
        cookie.setAttribute("SameSite", "Strict");
        return cookie;
    }
}
