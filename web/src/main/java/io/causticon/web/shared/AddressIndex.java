package io.causticon.web.shared;

import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.webmvc.autoconfigure.WebMvcRegistrations;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.springframework.web.util.pattern.PathPattern;

/**
 * Finds who answers an address. Nearly all of ours have an id in them, so each of some hundred patterns would be held
 * against every request with all of its conditions; most differ from it in the first word already.
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

        private static final Set<String> METHODS = Set.of(HttpMethod.GET.name(), HttpMethod.POST.name());

        private final Map<String, List<Answer>> byFirstWord = new HashMap<>();

        /** What answers to an address. */
        private record Answer(RequestMappingInfo mapping, HandlerMethod handler) {

            private Stream<Answer> to(HttpServletRequest request) {
                RequestMappingInfo matching = mapping.getMatchingCondition(request);
                return matching == null ? Stream.empty() : Stream.of(new Answer(matching, handler));
            }
        }

        @Override
        protected void handlerMethodsInitialized(Map<RequestMappingInfo, HandlerMethod> all) {
            super.handlerMethodsInitialized(all);
            all.forEach((mapping, handler) -> METHODS.stream()
                    .filter(method -> answers(mapping, method))
                    .forEach(method -> byFirstWord
                            .computeIfAbsent(method + firstWord(mapping), w -> new ArrayList<>())
                            .add(new Answer(mapping, handler))));
        }

        private static boolean answers(RequestMappingInfo mapping, String method) {
            Set<RequestMethod> answered = mapping.getMethodsCondition().getMethods();
            return answered.isEmpty() || answered.contains(RequestMethod.valueOf(method));
        }

        /**
         * Where exactly one answers it is found here; which of several does, or what to say where none does, is the
         * framework's to tell.
         */
        @Override
        protected @Nullable HandlerMethod lookupHandlerMethod(String path, HttpServletRequest request)
                throws Exception {
            String method = request.getMethod();
            // One that is written in another way is the same address.
            boolean plain = path.indexOf('%') < 0 && path.indexOf(';') < 0;
            List<Answer> answering = plain && METHODS.contains(method)
                    ? Stream.of(firstWord(path), ANY)
                            .flatMap(word -> byFirstWord.getOrDefault(method + word, List.of()).stream())
                            .flatMap(answer -> answer.to(request))
                            .toList()
                    : List.of();
            if (answering.size() != 1) {
                return super.lookupHandlerMethod(path, request);
            }
            Answer one = answering.get(0);
            request.setAttribute(BEST_MATCHING_HANDLER_ATTRIBUTE, one.handler());
            handleMatch(one.mapping(), path, request);
            return one.handler();
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
