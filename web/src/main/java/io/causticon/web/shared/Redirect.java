package io.causticon.web.shared;

import java.nio.charset.StandardCharsets;
import org.springframework.web.util.UriUtils;

/** Where a page leads on to. What was typed is encoded, so that nothing in it is taken for a part of the address. */
public final class Redirect {

    /** Nothing that goes along is longer; what is was not ours, and would burst the header. */
    private static final int LONGEST = 100;

    private Redirect() {}

    /**
     * @param path of the page, beginning with a slash
     * @param query names and values in turn; what has no value, or one that is too long, is left out
     */
    public static String to(String path, String... query) {
        StringBuilder address =
                new StringBuilder("redirect:").append(UriUtils.encodePath(path, StandardCharsets.UTF_8));
        char before = '?';
        for (int i = 0; i < query.length; i += 2) {
            if (!query[i + 1].isBlank() && query[i + 1].length() <= LONGEST) {
                address.append(before)
                        .append(query[i])
                        .append('=')
                        .append(UriUtils.encode(query[i + 1], StandardCharsets.UTF_8));
                before = '&';
            }
        }
        return address.toString();
    }
}
