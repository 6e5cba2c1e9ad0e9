package io.causticon.web.shared;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Arrays;
import java.util.List;
import java.util.Set;

/** One field of a form, as it was filled in: a page that asks something first sends it on untouched. */
public record FormField(String name, String value) {

    /**
     * All that a form held, doubled fields twice.
     *
     * @param apart names of those that are not sent on
     */
    public static List<FormField> of(HttpServletRequest request, Set<String> apart) {
        return request.getParameterMap().entrySet().stream()
                .filter(field -> !apart.contains(field.getKey()))
                .flatMap(field -> Arrays.stream(field.getValue()).map(value -> new FormField(field.getKey(), value)))
                .toList();
    }
}
