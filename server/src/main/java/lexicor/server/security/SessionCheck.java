package lexicor.server.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import lexicor.server.accounts.AccountService;
import lexicor.server.accounts.SignedIn;
import lexicor.server.problems.PlainProblem;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Ends a session whose account was switched off or changed since sign-in, so that roles that were taken away end at
 * once; and lets somebody whose password was chosen by the administrator do nothing but change it.
 */
final class SessionCheck extends OncePerRequestFilter {

    private final AccountService accounts;

    SessionCheck(AccountService accounts) {
        this.accounts = accounts;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        if (authentication != null && authentication.getPrincipal() instanceof SignedIn person) {
            if (!accounts.isCurrent(person)) {
                SecurityContextHolder.clearContext();
                HttpSession session = request.getSession(false);
                if (session != null) {
                    session.invalidate();
                }
            } else if (person.mustChange()
                    && request.getRequestURI().startsWith("/api/")
                    && !request.getRequestURI().startsWith("/api/session")) {
                PlainProblem.write(
                        response,
                        HttpStatus.FORBIDDEN,
                        "",
                        "The administrator has set your password. Choose one of your own first.");
                return;
            }
        }
        chain.doFilter(request, response);
    }
}
