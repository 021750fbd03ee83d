package lexicor.server.security;

import static lexicor.server.accounts.Role.ADMINISTRATOR;
import static lexicor.server.accounts.Role.STEWARD;
import static lexicor.server.accounts.Role.THERAPIST;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import lexicor.server.accounts.AccountService;
import lexicor.server.audit.AuditLog;
import lexicor.server.problems.PlainProblem;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.ProviderManager;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.core.userdetails.UserDetailsPasswordService;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CsrfException;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.header.writers.CrossOriginOpenerPolicyHeaderWriter.CrossOriginOpenerPolicy;
import org.springframework.security.web.header.writers.CrossOriginResourcePolicyHeaderWriter.CrossOriginResourcePolicy;
import org.springframework.security.web.header.writers.DelegatingRequestMatcherHeaderWriter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.header.writers.frameoptions.XFrameOptionsHeaderWriter;
import org.springframework.security.web.header.writers.frameoptions.XFrameOptionsHeaderWriter.XFrameOptionsMode;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.security.web.util.matcher.NegatedRequestMatcher;
import org.springframework.security.web.util.matcher.RequestMatcher;

/**
 * Who may ask for what. Everything not named here is refused; changes need the token against cross-site requests,
 * except the calculators, which keep nothing.
 */
@Configuration
class SecurityRules {

    private static final String CONTENT =
            "default-src 'self'; img-src 'self' data:; object-src 'none'; base-uri 'self'; form-action 'self'; frame-ancestors 'none'";

    /** The one answer that the page shows within itself. It names its own content policy. */
    private static final RequestMatcher REPORT =
            PathPatternRequestMatcher.withDefaults().matcher(HttpMethod.GET, "/api/examinations/{id}/report");

    /** Before the page, one of whose addresses its first would be. */
    private static final String[] FHIR = {"/fhir", "/fhir/**"};

    private static final String[] PAGE = {
        "/",
        "/{view:[a-z-]+}",
        "/cases/**",
        "/examinations/**",
        "/library/**",
        "/outcomes/**",
        "/practice/**",
        "/setup/**",
        "/assets/**",
        "/index.html",
        "/favicon.svg",
        "/manifest.webmanifest",
        "/icon-192.png",
        "/icon-512.png",
        "/sw.js"
    };

    @Bean
    SecurityFilterChain rules(
            HttpSecurity http,
            AccountService accounts,
            SecurityContextRepository sessions,
            CsrfTokenRepository tokens,
            AuditLog trail)
            throws Exception {
        return http.authorizeHttpRequests(requests -> requests.requestMatchers(HttpMethod.GET, FHIR)
                        .hasRole(THERAPIST.name())
                        .requestMatchers(HttpMethod.GET, PAGE)
                        .permitAll()
                        .requestMatchers(HttpMethod.HEAD, PAGE)
                        .permitAll()
                        .requestMatchers(HttpMethod.GET, "/v3/api-docs", "/v3/api-docs.yaml", "/actuator/health")
                        .permitAll()
                        .requestMatchers("/error")
                        .permitAll()
                        .requestMatchers(HttpMethod.POST, "/api/calculate/**", "/api/session", "/api/first-account")
                        .permitAll()
                        .requestMatchers(HttpMethod.GET, "/api/session")
                        .permitAll()
                        .requestMatchers("/api/session/**")
                        .authenticated()
                        .requestMatchers(HttpMethod.GET, "/api/library/**", "/api/settings", "/api/routines")
                        .authenticated()
                        .requestMatchers(HttpMethod.GET, "/api/practice/classes")
                        .authenticated()
                        .requestMatchers("/api/practice/classes/**")
                        .hasAnyRole(THERAPIST.name(), STEWARD.name())
                        .requestMatchers("/api/practice/**")
                        .authenticated()
                        .requestMatchers(HttpMethod.POST, "/api/library/tests/*/review")
                        .hasRole(STEWARD.name())
                        .requestMatchers(HttpMethod.GET, "/api/ledger/policy")
                        .hasAnyRole(THERAPIST.name(), STEWARD.name())
                        .requestMatchers(HttpMethod.GET, "/api/ledger/**")
                        .authenticated()
                        .requestMatchers("/api/ledger/**")
                        .hasRole(STEWARD.name())
                        .requestMatchers(HttpMethod.GET, "/api/papers/**")
                        .hasAnyRole(THERAPIST.name(), STEWARD.name())
                        .requestMatchers("/api/papers/**")
                        .hasRole(STEWARD.name())
                        .requestMatchers(HttpMethod.POST, "/api/routines/check")
                        .hasRole(STEWARD.name())
                        .requestMatchers("/api/cases/**", "/api/examinations/**", "/api/events")
                        .hasRole(THERAPIST.name())
                        .requestMatchers(HttpMethod.GET, "/api/outcomes/waiting")
                        .hasRole(THERAPIST.name())
                        .requestMatchers(HttpMethod.GET, "/api/outcomes/**")
                        .hasAnyRole(THERAPIST.name(), STEWARD.name())
                        .requestMatchers(HttpMethod.GET, "/api/settings/history")
                        .hasAnyRole(STEWARD.name(), ADMINISTRATOR.name())
                        .requestMatchers(HttpMethod.PUT, "/api/settings/own/*")
                        .authenticated()
                        .requestMatchers(HttpMethod.PUT, "/api/settings/**")
                        .hasRole(STEWARD.name())
                        .requestMatchers(HttpMethod.POST, "/api/settings/note-preview")
                        .hasRole(STEWARD.name())
                        .requestMatchers(HttpMethod.GET, "/api/backups/age")
                        .authenticated()
                        .requestMatchers("/api/backups/**")
                        .hasRole(ADMINISTRATOR.name())
                        .requestMatchers("/api/import/**", "/api/export/**", "/api/receiver")
                        .hasRole(ADMINISTRATOR.name())
                        .requestMatchers("/api/accounts/**")
                        .hasRole(ADMINISTRATOR.name())
                        .requestMatchers(HttpMethod.GET, "/api/audit")
                        .hasRole(ADMINISTRATOR.name())
                        .anyRequest()
                        .denyAll())
                .csrf(csrf -> csrf.spa().csrfTokenRepository(tokens).ignoringRequestMatchers("/api/calculate/**"))
                .securityContext(context -> context.securityContextRepository(sessions))
                .addFilterBefore(new SessionCheck(accounts), AuthorizationFilter.class)
                .exceptionHandling(faults -> faults.authenticationEntryPoint((request, response, fault) ->
                                PlainProblem.write(response, HttpStatus.UNAUTHORIZED, "", "Please sign in."))
                        .accessDeniedHandler((request, response, fault) -> refuse(request, response, fault, trail)))
                .headers(headers -> headers.frameOptions(frames -> frames.disable())
                        .addHeaderWriter(new DelegatingRequestMatcherHeaderWriter(
                                REPORT, new XFrameOptionsHeaderWriter(XFrameOptionsMode.SAMEORIGIN)))
                        .addHeaderWriter(new DelegatingRequestMatcherHeaderWriter(
                                new NegatedRequestMatcher(REPORT),
                                new XFrameOptionsHeaderWriter(XFrameOptionsMode.DENY)))
                        .contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT))
                        .crossOriginOpenerPolicy(opener -> opener.policy(CrossOriginOpenerPolicy.SAME_ORIGIN))
                        .crossOriginResourcePolicy(resource -> resource.policy(CrossOriginResourcePolicy.SAME_ORIGIN))
                        .permissionsPolicyHeader(
                                permissions -> permissions.policy("camera=(), microphone=(), geolocation=()"))
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.NO_REFERRER)))
                .formLogin(AbstractHttpConfigurer::disable)
                .httpBasic(AbstractHttpConfigurer::disable)
                .logout(AbstractHttpConfigurer::disable)
                .requestCache(AbstractHttpConfigurer::disable)
                .build();
    }

    @Bean
    CsrfTokenRepository tokens() {
        return new SessionTokens();
    }

    @Bean
    SecurityContextRepository sessions() {
        return new HttpSessionSecurityContextRepository();
    }

    @Bean
    AuthenticationManager authenticationManager(
            UserDetailsService people, UserDetailsPasswordService renewal, PasswordEncoder passwords) {
        DaoAuthenticationProvider provider = new DaoAuthenticationProvider(people);
        provider.setPasswordEncoder(passwords);
        provider.setUserDetailsPasswordService(renewal);
        return new ProviderManager(provider);
    }

    private static void refuse(
            HttpServletRequest request, HttpServletResponse response, AccessDeniedException fault, AuditLog trail)
            throws IOException {
        if (fault instanceof CsrfException) {
            PlainProblem.write(
                    response,
                    HttpStatus.FORBIDDEN,
                    SessionTokens.HEADER,
                    "The page's token is missing or old. Please try again.");
            return;
        }
        trail.refused(request.getMethod() + " " + request.getRequestURI());
        PlainProblem.write(response, HttpStatus.FORBIDDEN, "", "Your role does not allow this.");
    }
}
