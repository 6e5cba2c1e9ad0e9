package io.causticon.web.exchange.api;

import io.causticon.web.shared.RateLimits;
import io.causticon.web.store.token.AccessTokens;
import io.causticon.web.store.token.Scope;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import tools.jackson.databind.json.JsonMapper;

/** Programs carry a token: no session, no form, no cookie. */
@Configuration(proxyBeanMethods = false)
class ApiSecurity {

    /** Where a program's own interface is described. */
    static final String DESCRIPTION = "/api/openapi.json";

    @Bean
    @Order(2)
    SecurityFilterChain programs(HttpSecurity http, AccessTokens tokens, RateLimits limits, JsonMapper json)
            throws Exception {
        ApiGate gate = new ApiGate(tokens, limits, json);
        return http.securityMatcher("/api/**")
                .authorizeHttpRequests(r -> r.requestMatchers(DESCRIPTION)
                        .permitAll()
                        .requestMatchers(HttpMethod.GET, "/api/v1/**")
                        .hasAuthority(Scope.READ.name())
                        .requestMatchers(HttpMethod.HEAD, "/api/v1/**")
                        .hasAuthority(Scope.READ.name())
                        .requestMatchers(HttpMethod.POST, "/api/v1/**")
                        .hasAnyAuthority(Scope.MEASURE.name(), Scope.WRITE.name())
                        .anyRequest()
                        .denyAll())
                .exceptionHandling(e -> e.accessDeniedHandler((request, response, denied) -> gate.refuse(
                                response,
                                HttpStatus.FORBIDDEN,
                                "This token may not do that. What it may is chosen when it is made."))
                        .authenticationEntryPoint((request, response, missing) ->
                                gate.refuse(response, HttpStatus.NOT_FOUND, "There is no such address.")))
                .csrf(c -> c.disable())
                .requestCache(c -> c.disable())
                .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .addFilterBefore(gate, AuthorizationFilter.class)
                .build();
    }
}
