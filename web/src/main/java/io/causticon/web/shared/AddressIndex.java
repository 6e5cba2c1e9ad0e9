package io.causticon.web.shared;

import jakarta.servlet.http.HttpServletRequest;
import java.util.IdentityHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.webmvc.autoconfigure.WebMvcRegistrations;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.springframework.web.util.ServletRequestPathUtils;
import org.springframework.web.util.pattern.PathPattern;

/**
 * Finds who answers an address. Nearly all of ours have an id in them, so each of some hundred patterns would be held against every request with all of
 * its conditions; most differ from it in the first word already.
 */
@Configuration(proxyBeanMethods = false)
class AddressIndex {

    @Bean
    static WebMvcRegistrations byFirstWord() {
        return new WebMvcRegistrations() {
            @Override
            public RequestMappingHandlerMapping getRequestMappingHandlerMapping() {
                return new ByFirstWord();
            }
        };
    }

    private static final class ByFirstWord extends RequestMappingHandlerMapping {

        /** Where it has several patterns, or begins with none, it has to be looked at. */
        private static final String ANY = "*";

        /** By the mapping itself; what was not there at the start has to be looked at. */
        private Map<RequestMappingInfo, String> firstWords = Map.of();

        @Override
        protected void handlerMethodsInitialized(Map<RequestMappingInfo, HandlerMethod> all) {
            super.handlerMethodsInitialized(all);
            Map<RequestMappingInfo, String> words = new IdentityHashMap<>();
            all.keySet().forEach(mapping -> words.put(mapping, firstWord(mapping)));
            firstWords = words;
        }

        @Override
        protected @Nullable RequestMappingInfo getMatchingMapping(RequestMappingInfo mapping, HttpServletRequest request) {
            String word = firstWords.getOrDefault(mapping, ANY);
            String path = ServletRequestPathUtils.getCachedPathValue(request);
            // One that is written in another way is the same address.
            boolean mayBe = word.equals(ANY) || word.equals(firstWord(path)) || path.indexOf('%') >= 0 || path.indexOf(';') >= 0;
            return mayBe ? super.getMatchingMapping(mapping, request) : null;
        }

        private static String firstWord(RequestMappingInfo mapping) {
            var patterns = mapping.getPathPatternsCondition();
            if (patterns == null || patterns.getPatterns().size() != 1) {
                return ANY;
            }
            PathPattern pattern = patterns.getPatterns().iterator().next();
            String word = firstWord(pattern.getPatternString());
            return word.chars().allMatch(c -> Character.isLetterOrDigit(c) || c == '-') ? word : ANY;
        }

        /** {@code bench} of {@code /bench/7}. */
        private static String firstWord(String path) {
            int end = path.indexOf('/', 1);
            return path.substring(Math.min(1, path.length()), end < 0 ? path.length() : end);
        }
    }
}
