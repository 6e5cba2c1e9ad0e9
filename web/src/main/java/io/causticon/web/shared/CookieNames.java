package io.causticon.web.shared;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * What cookies are called. Where everything comes over TLS, of the server's own or of a proxy before it, their names
 * say that they are for this host alone and for TLS alone, so that no neighbour can put one beside them (RFC 6265bis,
 * 4.1.3).
 */
@Component
public class CookieNames {

    private static final String HOST_ALONE = "__Host-";

    private final String prefix;

    CookieNames(
            @Value("${causticon.listen:false}") boolean listening,
            @Value("${server.forward-headers-strategy:none}") String proxy) {
        this.prefix = listening || !proxy.equalsIgnoreCase("none") ? HOST_ALONE : "";
    }

    /** @param plain the name on a machine that is asked without TLS */
    public String of(String plain) {
        return prefix + plain;
    }
}
