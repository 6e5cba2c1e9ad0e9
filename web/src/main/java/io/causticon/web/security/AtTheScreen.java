package io.causticon.web.security;

import io.causticon.web.shared.Frame;
import io.causticon.web.store.account.Maker;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Gives every page its frame, and every method that answers a request the {@link Maker} at the screen where it asks for
 * her.
 */
@Configuration(proxyBeanMethods = false)
class AtTheScreen implements WebMvcConfigurer, HandlerInterceptor {

    private static final Frame NOBODY = new Frame("", "", "", "day", "", true, true, false, false, "0");
    private static final String REDIRECT = "redirect:";

    private final String assets;

    AtTheScreen(@Value("${causticon.assets:1}") String assets) {
        this.assets = assets;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(new OfTheScreen<>(Maker.class, maker -> maker));
        resolvers.add(new OfTheScreen<>(Frame.class, this::frame));
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public void postHandle(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable ModelAndView page) {
        if (page != null && (page.getViewName() == null || !page.getViewName().startsWith(REDIRECT))) {
            page.addObject("frame", frame(maker(request.getAttribute(StandingFilter.MAKER))));
        }
    }

    private Frame frame(@Nullable Maker maker) {
        return maker == null ? NOBODY : maker.frame(assets);
    }

    /** A program that shows a token is no maker, and sees no pages. */
    private static @Nullable Maker maker(@Nullable Object kept) {
        return kept instanceof Maker maker ? maker : null;
    }

    /**
     * A parameter that is nothing of the request's fields.
     *
     * @param type of it
     * @param of it of the maker, who may be nobody
     */
    private record OfTheScreen<T>(Class<T> type, Function<@Nullable Maker, @Nullable T> of)
            implements HandlerMethodArgumentResolver {

        @Override
        public boolean supportsParameter(MethodParameter parameter) {
            return parameter.getParameterType() == type;
        }

        @Override
        public @Nullable Object resolveArgument(
                MethodParameter parameter,
                @Nullable ModelAndViewContainer container,
                NativeWebRequest request,
                @Nullable WebDataBinderFactory binders) {
            return of.apply(maker(request.getAttribute(StandingFilter.MAKER, RequestAttributes.SCOPE_REQUEST)));
        }
    }
}
