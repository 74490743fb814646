package org.eskiz.server.operator.signin;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Map;
import java.util.Set;
import org.eskiz.server.operator.AtWork;
import org.eskiz.server.web.Problems;
import org.eskiz.server.web.PublicAddress;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.AuthenticationServiceException;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.crypto.password.Pbkdf2PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.csrf.HttpSessionCsrfTokenRepository;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.DefaultCookieSerializer;

/** What stands between the network and the routes. Who may do what there is said by the routes themselves. */
@Configuration(proxyBeanMethods = false)
class SignInConfiguration {

    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS", "TRACE");

    /** By this name a hash says how it was made, so that a better way can be taken later. */
    private static final String WAY = "pbkdf2@SpringSecurity_v5_8";

    private static final String STRANGER =
            "the page has to say that the request is its own: send the token of GET /api/session" + " as X-CSRF-TOKEN";

    @Bean
    SecurityFilterChain signIn(HttpSecurity http, WorkSession session, PublicAddress address, Problems problems) {
        return http.securityMatcher("/api/**", "/v3/**")
                .securityContext(context -> context.securityContextRepository(session))
                .sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.NEVER))
                .csrf(csrf -> csrf.csrfTokenRepository(new HttpSessionCsrfTokenRepository())
                        .requireCsrfProtectionMatcher(request -> address.isOpen() && changesForSomebody(request)))
                .authorizeHttpRequests(routes -> routes.requestMatchers("/v3/**")
                        .authenticated()
                        .anyRequest()
                        .permitAll())
                .exceptionHandling(refused -> refused.authenticationEntryPoint((request, response, e) ->
                                problems.refuse(request, response, HttpStatus.UNAUTHORIZED, "sign in first"))
                        .accessDeniedHandler((request, response, e) ->
                                problems.refuse(request, response, HttpStatus.FORBIDDEN, "Wrong token", STRANGER)))
                .headers(AbstractHttpConfigurer::disable)
                .requestCache(AbstractHttpConfigurer::disable)
                .logout(AbstractHttpConfigurer::disable)
                .formLogin(AbstractHttpConfigurer::disable)
                .httpBasic(AbstractHttpConfigurer::disable)
                .anonymous(AbstractHttpConfigurer::disable)
                .build();
    }

    /**
     * Where nobody is signed in there is nobody in whose name another page could ask; and none can ask for somebody who came by
     * a link, which goes with no request by itself.
     */
    private static boolean changesForSomebody(HttpServletRequest request) {
        return !READING.contains(request.getMethod())
                && AtWork.signedIn()
                        .filter(atWork -> atWork.onlyPlan().isEmpty())
                        .isPresent();
    }

    /** It takes any length, which the others of the platform do not, and needs no library beside it. */
    @Bean
    PasswordEncoder slowly() {
        return new DelegatingPasswordEncoder(WAY, Map.of(WAY, Pbkdf2PasswordEncoder.defaultsForSpringSecurity_v5_8()));
    }

    /** Passwords are looked at by {@link SignInService} alone. */
    @Bean
    AuthenticationManager nobodyElse() {
        return authentication -> {
            throw refusal();
        };
    }

    private static AuthenticationException refusal() {
        return new AuthenticationServiceException("sign in by POST /api/session");
    }

    /** Sent to this very host only, by TLS only, to no script and with nothing that another site begins. */
    @Bean
    CookieSerializer sessionCookie() {
        DefaultCookieSerializer cookie = new DefaultCookieSerializer();
        cookie.setCookieName("__Host-eskiz");
        cookie.setCookiePath("/");
        cookie.setUseSecureCookie(true);
        cookie.setUseHttpOnlyCookie(true);
        cookie.setSameSite("Strict");
        return cookie;
    }
}
