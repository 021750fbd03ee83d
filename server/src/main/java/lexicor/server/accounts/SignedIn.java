package lexicor.server.accounts;

import java.util.Collection;
import java.util.Set;
import java.util.UUID;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/**
 * The person behind a session.
 *
 * @param mustChange whether the password has to be changed before anything else
 * @param secondFactor whether a code is asked beside the password
 * @param version of the account at sign-in; once the account is another, the session ends
 */
public record SignedIn(
        UUID id,
        String name,
        String displayName,
        Set<Role> roles,
        String passwordHash,
        boolean active,
        boolean mustChange,
        boolean secondFactor,
        int version)
        implements UserDetails {

    private static final long serialVersionUID = 1L;

    static SignedIn of(Account account) {
        return new SignedIn(
                account.id(),
                account.name(),
                account.displayName(),
                account.roles(),
                account.passwordHash(),
                account.active(),
                account.mustChange(),
                account.secondFactor().isPresent(),
                account.version());
    }

    @Override
    public Collection<? extends GrantedAuthority> getAuthorities() {
        return roles.stream()
                .map(role -> new SimpleGrantedAuthority(role.authority()))
                .toList();
    }

    @Override
    public String getPassword() {
        return passwordHash;
    }

    @Override
    public String getUsername() {
        return name;
    }

    @Override
    public boolean isEnabled() {
        return active;
    }

    /** Never shows the hash. */
    @Override
    public String toString() {
        return name;
    }
}
