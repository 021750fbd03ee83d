package lexicor.server.accounts;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.UUID;

/** An account as the administrator sees it. */
public record AccountJson(
        UUID id,
        String name,
        String displayName,
        List<Role> roles,
        boolean active,
        boolean mustChangePassword,
        boolean secondFactor,
        Instant createdAt,
        int version) {

    static final String NAME =
            "allowed: 3 to 40 small letters, digits, full stops and hyphens, beginning with a letter";
    static final String DISPLAY_NAME = "allowed: 1 to 80 characters";
    static final String PASSWORD = Passwords.ALLOWED;
    static final String ROLES = "allowed: at least one of THERAPIST, STUDENT, STEWARD, ADMINISTRATOR";

    static AccountJson of(Account account) {
        return new AccountJson(
                account.id(),
                account.name(),
                account.displayName(),
                account.roles().stream().sorted().toList(),
                account.active(),
                account.mustChange(),
                account.secondFactor().isPresent(),
                account.createdAt(),
                account.version());
    }

    /** A new account. */
    public record NewAccount(
            @NotNull(message = NAME) @Pattern(regexp = "[a-z][a-z0-9.-]{2,39}", message = NAME)
            String name,

            @NotBlank(message = DISPLAY_NAME) @Size(max = 80, message = DISPLAY_NAME)
            String displayName,

            @NotEmpty(message = ROLES) Set<@NotNull(message = ROLES) Role> roles,

            @NotNull(message = PASSWORD)
            @Size(min = Passwords.SHORTEST, max = 2 * Passwords.LONGEST, message = PASSWORD)
            String password) {

        /** Never shows the password. */
        @Override
        public String toString() {
            return name + " " + roles;
        }
    }

    /**
     * The first account.
     *
     * @param code the one that the server printed when it started
     */
    public record FirstAccount(
            @NotNull(message = "allowed: the code that the server printed at its start")
            @Size(max = 40, message = "allowed: at most 40 characters")
            String code,

            @NotNull(message = NAME) @Pattern(regexp = "[a-z][a-z0-9.-]{2,39}", message = NAME)
            String name,

            @NotBlank(message = DISPLAY_NAME) @Size(max = 80, message = DISPLAY_NAME)
            String displayName,

            @NotEmpty(message = ROLES) Set<@NotNull(message = ROLES) Role> roles,

            @NotNull(message = PASSWORD)
            @Size(min = Passwords.SHORTEST, max = 2 * Passwords.LONGEST, message = PASSWORD)
            String password) {

        NewAccount account() {
            return new NewAccount(name, displayName, roles, password);
        }

        /** Never shows the password. */
        @Override
        public String toString() {
            return name + " " + roles;
        }
    }

    /**
     * A changed account; the password stays where none is given.
     *
     * @param forgetSecondFactor whether the person signs in by the password alone from now on
     */
    public record ChangedAccount(
            @NotBlank(message = DISPLAY_NAME) @Size(max = 80, message = DISPLAY_NAME)
            String displayName,

            @NotEmpty(message = ROLES) Set<@NotNull(message = ROLES) Role> roles,
            @NotNull(message = "allowed: true, false") Boolean active,

            @io.swagger.v3.oas.annotations.media.Schema(nullable = true)
            @Size(min = Passwords.SHORTEST, max = 2 * Passwords.LONGEST, message = PASSWORD)
            String password,

            @io.swagger.v3.oas.annotations.media.Schema(nullable = true)
            Boolean forgetSecondFactor,

            @NotNull(message = "allowed: the version that was read")
            Integer version) {

        /** Never shows the password. */
        @Override
        public String toString() {
            return displayName + " " + roles;
        }
    }
}
