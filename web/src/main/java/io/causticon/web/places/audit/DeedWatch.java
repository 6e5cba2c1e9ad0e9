package io.causticon.web.places.audit;

import io.causticon.web.store.audit.Deeds;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpMethod;
import org.springframework.security.authentication.event.AbstractAuthenticationFailureEvent;
import org.springframework.security.authentication.event.InteractiveAuthenticationSuccessEvent;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Sees what is done: every form that was taken, every sign-in and every one that was refused. */
@Configuration(proxyBeanMethods = false)
class DeedWatch implements WebMvcConfigurer, HandlerInterceptor {

    private static final int REFUSED = 400;

    private final Deeds deeds;

    DeedWatch(Deeds deeds) {
        this.deeds = deeds;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable Exception failure) {
        Principal who = request.getUserPrincipal();
        Object pattern = request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE);
        if (failure != null
                || who == null
                || pattern == null
                || !HttpMethod.POST.matches(request.getMethod())
                || response.getStatus() >= REFUSED) {
            return;
        }
        DeedWords.of(pattern.toString()).ifPresent(what -> deeds.note(who.getName(), request, what, subject(request)));
    }

    private static String subject(HttpServletRequest request) {
        Object variables = request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
        return variables instanceof Map<?, ?> all && !all.isEmpty()
                ? String.join(
                        " ",
                        new TreeMap<>(all)
                                .values().stream().map(String::valueOf).toList())
                : "";
    }

    @EventListener
    void signedIn(InteractiveAuthenticationSuccessEvent event) {
        note(event.getAuthentication().getName(), "signed in");
    }

    @EventListener
    void refused(AbstractAuthenticationFailureEvent event) {
        note(event.getAuthentication().getName(), "was not let in: the name or the password was wrong");
    }

    private void note(String name, String what) {
        if (RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes here) {
            deeds.note(name, here.getRequest(), what, "");
        }
    }
}
