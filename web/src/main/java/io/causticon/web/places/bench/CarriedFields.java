package io.causticon.web.places.bench;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.TypeMismatchException;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Reads the quick line of the bench, and what every form of it carries. Each tap does, and a binder for it took half as
 * long as understanding the line.
 */
@Configuration(proxyBeanMethods = false)
class CarriedFields implements WebMvcConfigurer, HandlerMethodArgumentResolver {

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == BenchController.Carried.class
                || parameter.getParameterType() == BenchController.Typed.class;
    }

    @Override
    public Object resolveArgument(
            MethodParameter parameter,
            @Nullable ModelAndViewContainer container,
            NativeWebRequest form,
            @Nullable WebDataBinderFactory binders)
            throws MissingServletRequestParameterException {
        return parameter.getParameterType() == BenchController.Typed.class ? typed(form) : carried(form);
    }

    private static BenchController.Typed typed(NativeWebRequest form) throws MissingServletRequestParameterException {
        String quick = form.getParameter("quick");
        if (quick == null) {
            throw new MissingServletRequestParameterException("quick", "String");
        }
        return new BenchController.Typed(
                quick,
                orEmpty(form.getParameter("degrees")),
                "true".equals(form.getParameter("sure")),
                orEmpty(form.getParameter("meant")));
    }

    private static String orEmpty(@Nullable String field) {
        return field == null ? "" : field;
    }

    private static BenchController.Carried carried(NativeWebRequest form) {
        return new BenchController.Carried(
                form.getParameter("at"),
                form.getParameter("step"),
                form.getParameter("key"),
                late(form.getParameter("late")),
                form.getParameter("rescue"),
                form.getParameter("thick"),
                form.getParameter("embeds"),
                Boolean.valueOf(form.getParameter("side")));
    }

    /** Written by the page itself: what is no number there is no form of ours. */
    private static long late(@Nullable String millis) {
        try {
            return millis == null || millis.isBlank() ? 0 : Long.parseLong(millis.trim());
        } catch (NumberFormatException e) {
            throw new TypeMismatchException(millis, Long.class, e);
        }
    }
}
