package io.causticon.web.security;

import io.causticon.web.shared.CookieNames;
import io.causticon.web.store.account.SignedIn;
import io.causticon.web.store.device.DeviceService;
import io.causticon.web.store.token.AccessTokens;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.util.Optional;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpHeaders;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;

/** What stands before the application in the server itself. */
@Configuration(proxyBeanMethods = false)
class ServerConfiguration {

    private static final String BEARER = "Bearer ";

    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> bodiesOfStrangers(
            ObjectProvider<RememberedBrowsers> browsers,
            ObjectProvider<AccessTokens> tokens,
            ObjectProvider<DeviceService> devices) {
        return server -> server.addEngineValves(new BodyValve(
                request -> inSession(request)
                        .or(() -> browsers.getObject().remembered(request))
                        .or(() -> bearer(request)
                                .filter(t -> tokens.getObject().isKnown(t)
                                        || devices.getObject().byToken(t).isPresent())),
                System::nanoTime));
    }

    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> sessionsName(CookieNames names) {
        return server -> server.getSettings().getSession().getCookie().setName(names.of("causticon"));
    }

    private static Optional<String> inSession(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        Object context = session == null
                ? null
                : session.getAttribute(HttpSessionSecurityContextRepository.SPRING_SECURITY_CONTEXT_KEY);
        return context instanceof SecurityContext known
                        && known.getAuthentication() != null
                        && known.getAuthentication().getPrincipal() instanceof SignedIn who
                ? Optional.of(who.getUsername())
                : Optional.empty();
    }

    private static Optional<String> bearer(HttpServletRequest request) {
        return Optional.ofNullable(request.getHeader(HttpHeaders.AUTHORIZATION))
                .filter(h -> h.startsWith(BEARER))
                .map(h -> h.substring(BEARER.length()).trim());
    }
}
