package lexicor.server.load;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import lexicor.server.problems.PlainProblem;
import lexicor.server.problems.RecordGone;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Says of the server, not of what was asked, that the database is not there, where that shows before a controller is
 * reached: a page keeps what it wanted to save and sends it later.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class RecordThere extends OncePerRequestFilter {

    private static final Logger LOG = LoggerFactory.getLogger(RecordThere.class);

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (RuntimeException | ServletException fault) {
            if (response.isCommitted() || !RecordGone.is(fault)) {
                throw fault;
            }
            LOG.warn("The database was not there for a request: {}", fault.toString());
            PlainProblem.write(response, HttpStatus.SERVICE_UNAVAILABLE, "", RecordGone.WORDS);
        }
    }
}
