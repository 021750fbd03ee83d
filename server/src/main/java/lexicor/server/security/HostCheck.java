package lexicor.server.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import lexicor.server.problems.PlainProblem;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Answers only under names that this server goes by, so that no other site can have a browser ask it under a name of
 * its own (DNS rebinding): the machine itself, the address it listens to, and those that were named at the start.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class HostCheck extends OncePerRequestFilter {

    private final Set<String> allowed = new TreeSet<>(Set.of("localhost", "127.0.0.1", "[::1]", "::1"));

    HostCheck(
            @Value("${lexicor.hosts:}") List<String> named, @Value("${server.address:127.0.0.1}") InetAddress address) {
        named.stream()
                .map(String::strip)
                .filter(name -> !name.isEmpty())
                .map(name -> name.toLowerCase(Locale.ROOT))
                .forEach(allowed::add);
        if (!address.isAnyLocalAddress()) {
            allowed.add(address.getHostAddress());
        }
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String host =
                request.getServerName() == null ? "" : request.getServerName().toLowerCase(Locale.ROOT);
        if (allowed.contains(host)) {
            chain.doFilter(request, response);
        } else {
            PlainProblem.write(
                    response,
                    HttpStatus.BAD_REQUEST,
                    "Host",
                    "Host: this server does not go by that name; allowed: those it was started with (--host NAME)");
        }
    }
}
