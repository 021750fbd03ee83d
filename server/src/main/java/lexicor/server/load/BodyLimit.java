package lexicor.server.load;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import lexicor.server.problems.PlainProblem;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Refuses bodies larger than any honest request. A body must say its length, so that the limit cannot be passed by. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BodyLimit extends OncePerRequestFilter {

    static final int MOST = 512 * 1024;

    /** A ledger or a case that is brought in. */
    static final int MOST_BROUGHT = 8 * 1024 * 1024;

    /** An original paper that is kept with a record. */
    static final int MOST_PAPER = 10 * 1024 * 1024;

    private static final String TABLE = "/api/ledger/import";
    private static final String CASE = "/api/import/";
    private static final String PAPER = "/api/papers/";

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean unsaid = request.getHeader("Transfer-Encoding") != null;
        int most = most(request.getRequestURI());
        if (unsaid || request.getContentLengthLong() > most) {
            HttpStatus status = unsaid ? HttpStatus.LENGTH_REQUIRED : HttpStatus.CONTENT_TOO_LARGE;
            PlainProblem.write(
                    response, status, "body", "body: allowed: at most " + most + " bytes, with their length said");
            return;
        }
        chain.doFilter(request, response);
    }

    private static int most(String address) {
        if (address.startsWith(PAPER)) {
            return MOST_PAPER;
        }
        return address.startsWith(TABLE) || address.startsWith(CASE) ? MOST_BROUGHT : MOST;
    }
}
