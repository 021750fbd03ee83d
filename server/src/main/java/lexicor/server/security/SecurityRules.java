package lexicor.server.security;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.provisioning.InMemoryUserDetailsManager;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/**
 * There are no accounts yet, so the server listens to its own machine only. Everything not named here is refused;
 * changes need the token against cross-site requests, except the calculators, which keep nothing.
 */
@Configuration
class SecurityRules {

    private static final String CONTENT = "default-src 'self'; img-src 'self' data:; object-src 'none'; base-uri 'self'; form-action 'self'; frame-ancestors 'none'";

    private static final String[] PAGE = {"/", "/{view:[a-z-]+}", "/examinations/**", "/library/**", "/assets/**", "/index.html", "/favicon.svg"};

    @Bean
    SecurityFilterChain rules(HttpSecurity http) throws Exception {
        return http
                .authorizeHttpRequests(requests -> requests
                        .requestMatchers(HttpMethod.GET, PAGE).permitAll()
                        .requestMatchers(HttpMethod.HEAD, PAGE).permitAll()
                        .requestMatchers("/api/**", "/v3/api-docs", "/v3/api-docs.yaml", "/actuator/health", "/error").permitAll()
                        .anyRequest().denyAll())
                .csrf(csrf -> csrf.spa().ignoringRequestMatchers("/api/calculate/**"))
                .headers(headers -> headers
                        .contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT))
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.NO_REFERRER)))
                .formLogin(AbstractHttpConfigurer::disable)
                .httpBasic(AbstractHttpConfigurer::disable)
                .logout(AbstractHttpConfigurer::disable)
                .requestCache(AbstractHttpConfigurer::disable)
                .build();
    }

    /** Nobody can sign in yet; this keeps a generated account from appearing. */
    @Bean
    UserDetailsService nobody() {
        return new InMemoryUserDetailsManager();
    }
}
