package lexicor.server.load;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import lexicor.server.disk.DiskRoom;
import lexicor.server.problems.PlainProblem;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * While the disk is full, refuses what would write, before anything is tried; looking, signing in and computing go on.
 */
@Component
@Order(Ordered.LOWEST_PRECEDENCE)
class DiskCheck extends OncePerRequestFilter {

    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");

    /** Requests that keep nothing, or whose only trace can wait. */
    private static final Set<String> WITHOUT_TRACE =
            Set.of("/api/session", "/api/routines/check", "/api/settings/note-preview", "/api/session/second-factor");

    private final DiskRoom room;

    DiskCheck(DiskRoom room) {
        this.room = room;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String path = request.getRequestURI();
        boolean writes = !READING.contains(request.getMethod())
                && !WITHOUT_TRACE.contains(path)
                && !path.startsWith("/api/calculate/");
        if (writes && !room.isThere()) {
            PlainProblem.write(response, HttpStatus.INSUFFICIENT_STORAGE, "", DiskRoom.FULL);
        } else {
            chain.doFilter(request, response);
        }
    }
}
