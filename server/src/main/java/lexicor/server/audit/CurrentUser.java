package lexicor.server.audit;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;

/** The person on whose behalf something is done just now. */
public final class CurrentUser {

    /** The author of what the server does by itself. */
    public static final String SERVER = "server";

    private CurrentUser() {}

    /** The sign-in name of the person, or {@link #SERVER}. Never null. */
    public static String isHere() {
        return Optional.ofNullable(SecurityContextHolder.getContext().getAuthentication())
                .filter(person -> !(person instanceof AnonymousAuthenticationToken))
                .map(Authentication::getName)
                .orElse(SERVER);
    }

    /** Does something in the name of a person, as when a record is replayed. */
    public static <T> T being(String name, Supplier<T> work) {
        SecurityContext before = SecurityContextHolder.getContext();
        SecurityContext during = SecurityContextHolder.createEmptyContext();
        during.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(name, null, List.of()));
        SecurityContextHolder.setContext(during);
        try {
            return work.get();
        } finally {
            SecurityContextHolder.setContext(before);
        }
    }
}
