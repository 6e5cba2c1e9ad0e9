package io.causticon.web.account;

import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.core.annotation.Order;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** Who may see and do what; what a page may load. */
@Configuration(proxyBeanMethods = false)
class SecurityConfiguration {

    /** Scripts, styles, fonts and pictures from here alone; nothing inline; no frames. */
    static final String CONTENT_POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self';"
            + " font-src 'self'; connect-src 'self'; worker-src 'self'; manifest-src 'self'; form-action 'self';"
            + " base-uri 'none'; frame-ancestors 'none'";

    private static final String[] OPEN = {
        "/sign-in", "/first-visit", "/splash", "/css/**", "/js/**", "/fonts/**", "/favicon.svg", "/worker.js", "/error"
    };

    private static final int REMEMBERED_SECONDS = 14 * 86_400;

    @Bean
    PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }

    /** Devices carry a token of their own: no session, no form, no cookie. */
    @Bean
    @Order(1)
    SecurityFilterChain devices(HttpSecurity http) throws Exception {
        return http.securityMatcher("/ingest")
                .authorizeHttpRequests(r -> r.anyRequest().permitAll())
                .csrf(c -> c.disable())
                .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .build();
    }

    @Bean
    SecurityFilterChain security(HttpSecurity http, ThrottleFilter throttle, RememberKey rememberKey) throws Exception {
        return http.authorizeHttpRequests(r -> r.requestMatchers(OPEN)
                        .permitAll()
                        .requestMatchers("/people/**")
                        .hasRole("OWNER")
                        .requestMatchers(HttpMethod.POST, "/settings/**", "/plan/reckon", "/sign-out")
                        .authenticated()
                        .requestMatchers(HttpMethod.GET, "/**")
                        .authenticated()
                        .anyRequest()
                        .hasAnyRole("OWNER", "MAKER"))
                .formLogin(f -> f.loginPage("/sign-in")
                        .usernameParameter(ThrottleFilter.NAME)
                        .defaultSuccessUrl("/")
                        .failureUrl("/sign-in?wrong"))
                // A tap that waited while the server was away must still be hers when it is back: who is signed in and the form's token outlive
                // the session.
                .rememberMe(r -> r.key(rememberKey.value())
                        .alwaysRemember(true)
                        .tokenValiditySeconds(REMEMBERED_SECONDS)
                        .rememberMeCookieName("causticon-remember"))
                .csrf(c -> c.csrfTokenRepository(formTokens()))
                .logout(l -> l.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
                .headers(h -> h.contentSecurityPolicy(c -> c.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(p -> p.policy(ReferrerPolicy.SAME_ORIGIN))
                        .frameOptions(f -> f.deny()))
                .addFilterBefore(throttle, UsernamePasswordAuthenticationFilter.class)
                .build();
    }

    private static CookieCsrfTokenRepository formTokens() {
        CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
        tokens.setCookieName("causticon-form");
        tokens.setCookieCustomizer(c -> c.httpOnly(true).sameSite("Strict").path("/"));
        return tokens;
    }

    /** The throttle belongs to the security chain; the container must not run it a second time. */
    @Bean
    FilterRegistrationBean<ThrottleFilter> throttleOnlyInTheChain(ThrottleFilter throttle) {
        FilterRegistrationBean<ThrottleFilter> registration = new FilterRegistrationBean<>(throttle);
        registration.setEnabled(false);
        return registration;
    }
}
