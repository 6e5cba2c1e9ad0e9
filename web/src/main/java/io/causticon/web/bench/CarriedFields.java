package io.causticon.web.bench;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.TypeMismatchException;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Reads what every form of the bench carries. Each tap does, and a binder for it took half as long as understanding the line. */
@Configuration(proxyBeanMethods = false)
class CarriedFields implements WebMvcConfigurer, HandlerMethodArgumentResolver {

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == BenchController.Carried.class;
    }

    @Override
    public Object resolveArgument(
            MethodParameter parameter, @Nullable ModelAndViewContainer container, NativeWebRequest form, @Nullable WebDataBinderFactory binders) {
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
