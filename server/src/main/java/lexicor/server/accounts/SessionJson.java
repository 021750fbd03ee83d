package lexicor.server.accounts;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;

/**
 * Who is here.
 *
 * @param person       absent while nobody is signed in
 * @param firstAccount whether the first account has to be made
 * @param demoPeople   people of the demo clinic with their passwords; none outside the demo
 */
public record SessionJson(@Schema(nullable = true) PersonJson person, boolean firstAccount, List<DemoPersonJson> demoPeople) {

    static final String PASSWORD = "allowed: at most 200 characters";

    /** Somebody signed in. */
    public record PersonJson(UUID id, String name, String displayName, List<Role> roles) {
        static PersonJson of(SignedIn person) {
            return new PersonJson(person.id(), person.name(), person.displayName(), person.roles().stream().sorted().toList());
        }
    }

    /** Somebody of the demo clinic. */
    public record DemoPersonJson(String name, String displayName, String password, List<Role> roles) {
    }

    /** A sign-in. */
    public record SignIn(@NotNull(message = "allowed: your sign-in name") @Size(max = 80, message = "allowed: at most 80 characters") String name,
            @NotNull(message = "allowed: your password") @Size(max = 200, message = PASSWORD) String password) {

        /** Never shows the password. */
        @Override
        public String toString() {
            return name;
        }
    }

    /** A change of one's own password. */
    public record NewPassword(@NotNull(message = "allowed: your present password") @Size(max = 200, message = PASSWORD) String present,
            @NotNull(message = AccountJson.PASSWORD) @Size(min = 10, max = 72, message = AccountJson.PASSWORD) String fresh) {

        /** Never shows a password. */
        @Override
        public String toString() {
            return "a new password";
        }
    }
}
