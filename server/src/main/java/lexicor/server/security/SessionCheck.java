package lexicor.server.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.util.function.Predicate;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** Ends a session whose account was switched off or changed since sign-in, so that roles that were taken away end at once. */
final class SessionCheck extends OncePerRequestFilter {

    private final Predicate<Object> current;

    SessionCheck(Predicate<Object> current) {
        this.current = current;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain) throws ServletException, IOException {
        Authentication person = SecurityContextHolder.getContext().getAuthentication();
        if (person != null && !current.test(person.getPrincipal())) {
            SecurityContextHolder.clearContext();
            HttpSession session = request.getSession(false);
            if (session != null) {
                session.invalidate();
            }
        }
        chain.doFilter(request, response);
    }
}
