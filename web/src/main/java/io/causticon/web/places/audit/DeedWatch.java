package io.causticon.web.places.audit;

import com.github.benmanes.caffeine.cache.Cache;
import io.causticon.web.shared.Caches;
import io.causticon.web.store.audit.Deeds;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpMethod;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.authentication.event.AbstractAuthenticationFailureEvent;
import org.springframework.security.authentication.event.AuthenticationFailureLockedEvent;
import org.springframework.security.authentication.event.InteractiveAuthenticationSuccessEvent;
import org.springframework.security.authentication.event.LogoutSuccessEvent;
import org.springframework.security.authorization.event.AuthorizationDeniedEvent;
import org.springframework.security.core.Authentication;
import org.springframework.transaction.TransactionExecution;
import org.springframework.transaction.TransactionExecutionListener;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Sees what is done. What a form changes is written down by the transaction that changes it, so that the trail holds
 * what was done and nothing else; a form that changed nothing was refused, or only looked at, and is a line of its own
 * kind. Sign-ins, refusals and what is taken away as a file come beside.
 */
@Configuration(proxyBeanMethods = false)
class DeedWatch implements WebMvcConfigurer, HandlerInterceptor, TransactionExecutionListener {

    private static final String WRITTEN = DeedWatch.class.getName();
    private static final int REFUSED = 400;
    private static final int LONGEST_NAME = 40;
    private static final int MOST_ADDRESSES = 1000;

    private final Deeds deeds;
    private final Cache<String, Boolean> tooMany = Caches.atMost(MOST_ADDRESSES)
            .expireAfterWrite(Duration.ofMinutes(1))
            .build();

    DeedWatch(Deeds deeds) {
        this.deeds = deeds;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public void beforeCommit(TransactionExecution transaction) {
        if (transaction.isReadOnly() || transaction.isRollbackOnly()) {
            return;
        }
        here().filter(r -> r.getAttribute(WRITTEN) == null)
                .ifPresent(request -> formWords(request).ifPresent(what -> {
                    request.setAttribute(WRITTEN, transaction);
                    deeds.noteNow(name(request), request, what, subject(request));
                }));
    }

    /** What was written went with the transaction that was to keep it. */
    @Override
    public void afterRollback(TransactionExecution transaction, @Nullable Throwable failure) {
        here().filter(r -> r.getAttribute(WRITTEN) == transaction).ifPresent(r -> r.removeAttribute(WRITTEN));
    }

    @Override
    public void afterCommit(TransactionExecution transaction, @Nullable Throwable failure) {
        if (failure != null) {
            afterRollback(transaction, failure);
        }
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable Exception failure) {
        if (request.getUserPrincipal() == null || request.getAttribute(WRITTEN) != null) {
            return;
        }
        formWords(request)
                .ifPresent(what -> deeds.note(name(request), request, DeedWords.SENT + what, subject(request)));
        if (HttpMethod.GET.matches(request.getMethod()) && response.getStatus() < REFUSED && failure == null) {
            DeedWords.ofFile(pattern(request))
                    .ifPresent(what -> deeds.note(name(request), request, what, subject(request)));
        }
    }

    private static Optional<HttpServletRequest> here() {
        return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes here
                ? Optional.of(here.getRequest())
                : Optional.empty();
    }

    private static Optional<String> formWords(HttpServletRequest request) {
        return HttpMethod.POST.matches(request.getMethod())
                ? DeedWords.of(pattern(request)).map(what -> what + handedOver(request))
                : Optional.empty();
    }

    /** Whose line it was that waited on a device, where somebody else took it on. */
    private static String handedOver(HttpServletRequest request) {
        String whose = request.getParameter("handedOver");
        return whose == null || whose.isBlank() || whose.length() > LONGEST_NAME
                ? ""
                : ", which " + whose.replaceAll("[^\\p{L}\\p{N} ._-]", "?") + " had left waiting";
    }

    private static String pattern(HttpServletRequest request) {
        return String.valueOf(request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE));
    }

    private static String name(HttpServletRequest request) {
        Principal who = request.getUserPrincipal();
        return who == null ? "" : who.getName();
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
        note(event.getAuthentication(), "signed in", "");
    }

    @EventListener
    void signedOut(LogoutSuccessEvent event) {
        note(event.getAuthentication(), "signed out", "");
    }

    @EventListener
    void refused(AbstractAuthenticationFailureEvent event) {
        if (!(event instanceof AuthenticationFailureLockedEvent)) {
            note(event.getAuthentication(), "was not let in: the name, password or passkey was wrong", "");
        } else if (isFirstOfMany()) {
            note(event.getAuthentication(), "was not let in: too many tries", "");
        }
    }

    /** Whoever tries a thousand times fills no trail: of each address one line a minute is enough. */
    private boolean isFirstOfMany() {
        String from = here().map(HttpServletRequest::getRemoteAddr).orElse("");
        return tooMany.asMap().putIfAbsent(from, true) == null;
    }

    @EventListener
    void mayNot(AuthorizationDeniedEvent<?> event) {
        Authentication who = event.getAuthentication().get();
        if (!(who instanceof AnonymousAuthenticationToken)) {
            here().ifPresent(request ->
                    note(who, "was refused: she may not do that", request.getMethod() + " " + request.getRequestURI()));
        }
    }

    private void note(Authentication who, String what, String subject) {
        here().ifPresent(request -> deeds.note(who.getName(), request, what, subject));
    }
}
