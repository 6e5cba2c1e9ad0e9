package io.causticon.web.security;

import io.causticon.web.shared.CookieNames;
import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.PasswordTries;
import io.causticon.web.store.account.RememberKey;
import io.causticon.web.store.account.SignIns;
import jakarta.servlet.DispatcherType;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.security.authentication.AuthenticationEventPublisher;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.DefaultAuthenticationEventPublisher;
import org.springframework.security.authentication.ProviderManager;
import org.springframework.security.authentication.RememberMeAuthenticationProvider;
import org.springframework.security.authentication.event.AuthenticationFailureBadCredentialsEvent;
import org.springframework.security.authentication.event.AuthenticationFailureLockedEvent;
import org.springframework.security.authorization.AuthorizationEventPublisher;
import org.springframework.security.authorization.SpringAuthorizationEventPublisher;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.config.observation.SecurityObservationSettings;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.logout.HeaderWriterLogoutHandler;
import org.springframework.security.web.authentication.rememberme.RememberMeAuthenticationFilter;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.firewall.HttpFirewall;
import org.springframework.security.web.firewall.StrictHttpFirewall;
import org.springframework.security.web.header.writers.ClearSiteDataHeaderWriter;
import org.springframework.security.web.header.writers.ClearSiteDataHeaderWriter.Directive;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.savedrequest.CookieRequestCache;

/** Who may see and do what; what a page may load. */
@Configuration(proxyBeanMethods = false)
class SecurityConfiguration {

    /** Scripts, styles, fonts and pictures from here alone; nothing inline; no frames. */
    static final String CONTENT_POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self';"
            + " font-src 'self'; connect-src 'self'; worker-src 'self'; manifest-src 'self'; form-action 'self';"
            + " base-uri 'none'; frame-ancestors 'none'";

    private static final String NAME = "name";

    /** Modes of a request by which somebody goes to a page; browsers tell none over a line without TLS. */
    private static final Set<String> NAVIGATIONS = Set.of("navigate", "");

    private static final String[] OPEN = {
        "/sign-in",
        "/sign-in/passkey",
        "/first-visit",
        "/splash",
        "/css/**",
        "/js/**",
        "/fonts/**",
        "/favicon.svg",
        "/icons/**",
        "/manifest.webmanifest",
        "/causticon.crt",
        "/worker.js",
        "/offline",
        "/error"
    };

    /** What works something out and keeps nothing: whoever may look may ask. */
    private static final String[] ASKING = {
        "/plan/reckon",
        "/plan/first/read",
        "/plan/rows",
        "/plan/change",
        "/plan/scale",
        "/plan/size",
        "/plan/even",
        "/plan/fit",
        "/plan/powder",
        "/plan/cups",
        "/plan/up/*",
        "/plan/gel",
        "/rework/ask"
    };

    /** A request passes some fifteen filters of the sign-in: nobody asks how long each of them took. */
    @Bean
    static SecurityObservationSettings noFilterIsTimed() {
        return SecurityObservationSettings.noObservations();
    }

    /** @param strength base-2 logarithm of the rounds; a tenth of a second at ten */
    @Bean
    PasswordEncoder passwordEncoder(@Value("${causticon.password-strength:10}") int strength) {
        return new DelegatingPasswordEncoder("bcrypt", Map.of("bcrypt", new BCryptPasswordEncoder(strength)));
    }

    /** Whoever was refused a page is told of as whoever was not let in. */
    @Bean
    static AuthorizationEventPublisher refusals(ApplicationEventPublisher events) {
        return new SpringAuthorizationEventPublisher(events);
    }

    /** The kinds that are ours are told of as the kinds they are of: it goes by the class itself otherwise. */
    @Bean
    static AuthenticationEventPublisher triesAtTheDoor(ApplicationEventPublisher events) {
        DefaultAuthenticationEventPublisher publisher = new DefaultAuthenticationEventPublisher(events);
        publisher.setAdditionalExceptionMappings(Map.of(
                CountedPasswords.TooSoonException.class,
                AuthenticationFailureLockedEvent.class,
                PasskeyDoor.UnknownPasskeyException.class,
                AuthenticationFailureBadCredentialsEvent.class));
        return publisher;
    }

    /** A browser always says where it asks; what is made for an address, as passkeys are, can be made for no other. */
    @Bean
    static HttpFirewall whoAsksNowhereIsRefused() {
        StrictHttpFirewall firewall = new StrictHttpFirewall();
        firewall.setAllowedHostnames(host -> !host.isBlank());
        return firewall;
    }

    /** Devices and calendars carry a token of their own: no session, no form, no cookie. */
    @Bean
    @Order(1)
    SecurityFilterChain devices(HttpSecurity http) throws Exception {
        return http.securityMatcher("/ingest", "/feed/**")
                .authorizeHttpRequests(r -> r.anyRequest().permitAll())
                .csrf(c -> c.disable())
                .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .build();
    }

    @Bean
    RememberedBrowsers rememberedBrowsers(
            RememberKey key, CookieNames names, AccountService accounts, SignIns signIns) {
        return new RememberedBrowsers(key.value(), names, accounts, signIns);
    }

    @Bean
    SecurityFilterChain security(
            HttpSecurity http,
            KnownBrowsers known,
            AccountService accounts,
            PasswordEncoder passwords,
            PasswordTries tries,
            PasskeySignatures signatures,
            PasswordFirst passwordFirst,
            RememberKey rememberKey,
            CookieNames names,
            RememberedBrowsers browsers,
            SignIns signIns,
            PasswordAgain again,
            AuthenticationEventPublisher told)
            throws Exception {
        // In a cookie, so that whoever only knocks leaves nothing behind on the server.
        CookieRequestCache asked = new CookieRequestCache();
        // Of pages that somebody goes to: nobody wants to be led to a picture, or to what a script asked for.
        asked.setRequestMatcher(r -> HttpMethod.GET.matches(r.getMethod())
                && orEmpty(r.getHeader(HttpHeaders.ACCEPT)).contains(MediaType.TEXT_HTML_VALUE)
                && NAVIGATIONS.contains(orEmpty(r.getHeader("Sec-Fetch-Mode"))));
        asked.setCookieCustomizer(c -> c.setAttribute("SameSite", "Strict"));
        return http.authorizeHttpRequests(r -> r.requestMatchers(OPEN)
                        .permitAll()
                        // The end of an answer that was allowed when it began: a live feed outlives whoever signed out
                        // meanwhile.
                        .dispatcherTypeMatchers(DispatcherType.ASYNC)
                        .permitAll()
                        .requestMatchers("/people/**", "/backups", "/backups/**")
                        .hasRole("OWNER")
                        .requestMatchers(HttpMethod.POST, "/settings/**", "/sign-out", "/again")
                        .authenticated()
                        .requestMatchers(HttpMethod.POST, ASKING)
                        .authenticated()
                        .requestMatchers(HttpMethod.GET, "/**")
                        .authenticated()
                        .anyRequest()
                        .hasAnyRole("OWNER", "MAKER"))
                .formLogin(f -> f.loginPage("/sign-in")
                        .usernameParameter(NAME)
                        .authenticationDetailsSource(r -> new AtTheDoor(
                                known.knock(orEmpty(r.getParameter(NAME)), r),
                                PasskeySignatures.origin(r),
                                r.getServerName(),
                                orEmpty(r.getParameter("passkey")),
                                passwordFirst.shownBy(r)))
                        .successHandler(new SignedInHandler(known, asked, again, passwordFirst))
                        .failureHandler(new NotLetInHandler(passwordFirst)))
                .authenticationManager(manager(
                        told,
                        new PasskeyDoor(signatures, accounts, tries, passwordFirst),
                        new CountedPasswords(accounts, passwords, tries),
                        new RememberMeAuthenticationProvider(rememberKey.value())))
                .requestCache(c -> c.requestCache(asked))
                // A tap that waited while the server was away must still be hers when it is back: who is signed in and
                // the form's token outlive
                // the session.
                .rememberMe(r -> r.key(rememberKey.value()).rememberMeServices(browsers))
                .csrf(c -> c.csrfTokenRepository(formTokens(names)))
                .logout(l -> l.logoutUrl("/sign-out")
                        .logoutSuccessUrl("/sign-in?out")
                        .addLogoutHandler(browsers)
                        // What waits in its store is hers, and stays.
                        .addLogoutHandler(
                                new HeaderWriterLogoutHandler(new ClearSiteDataHeaderWriter(Directive.CACHE))))
                .headers(h -> h.contentSecurityPolicy(c -> c.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(p -> p.policy(ReferrerPolicy.SAME_ORIGIN))
                        .frameOptions(f -> f.deny())
                        // A browser that was told so would open no other application of this machine's name without TLS
                        // any more.
                        .httpStrictTransportSecurity(t -> t.disable()))
                .addFilterAfter(new StandingFilter(signIns, browsers), RememberMeAuthenticationFilter.class)
                .build();
    }

    /** Without a parent: one that has a parent asks that as well, and there nobody counts. */
    private static AuthenticationManager manager(AuthenticationEventPublisher told, AuthenticationProvider... doors) {
        ProviderManager manager = new ProviderManager(doors);
        manager.setAuthenticationEventPublisher(told);
        return manager;
    }

    private static String orEmpty(@Nullable String typed) {
        return typed == null ? "" : typed;
    }

    private static CookieCsrfTokenRepository formTokens(CookieNames names) {
        CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
        tokens.setCookieName(names.of("causticon-form"));
        tokens.setCookieCustomizer(c -> c.httpOnly(true).sameSite("Strict").path("/"));
        return tokens;
    }
}
