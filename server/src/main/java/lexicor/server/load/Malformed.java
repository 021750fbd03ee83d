package lexicor.server.load;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Locale;
import lexicor.server.problems.PlainProblem;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.InvalidMediaTypeException;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Refuses requests that cannot be read as HTTP means them, before anybody tries to make sense of them. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class Malformed extends OncePerRequestFilter {

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String type = request.getContentType();
        if (type != null && !isReadable(type)) {
            PlainProblem.write(
                    response,
                    HttpStatus.UNSUPPORTED_MEDIA_TYPE,
                    "Content-Type",
                    "Content-Type: allowed: application/json");
            return;
        }
        try {
            if (request.getParameterMap().containsKey("")) {
                PlainProblem.write(response, HttpStatus.BAD_REQUEST, "query", "query: a parameter has no name");
                return;
            }
        } catch (IllegalStateException | IllegalArgumentException unreadable) {
            PlainProblem.write(
                    response,
                    HttpStatus.BAD_REQUEST,
                    "query",
                    "query: cannot be read; allowed: names and values in UTF-8, signs beyond letters and digits written with %");
            return;
        }
        chain.doFilter(request, response);
    }

    /** Forms are no part of this interface: whatever comes as one is refused before its fields are looked at. */
    private static boolean isReadable(String type) {
        try {
            MediaType media = MediaType.parseMediaType(type);
            return media.isConcrete()
                    && !media.getType().toLowerCase(Locale.ROOT).equals("multipart")
                    && !media.isCompatibleWith(MediaType.APPLICATION_FORM_URLENCODED);
        } catch (InvalidMediaTypeException unreadable) {
            return false;
        }
    }
}
