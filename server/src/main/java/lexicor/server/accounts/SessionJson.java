package lexicor.server.accounts;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;

/**
 * Who is here.
 *
 * @param person absent while nobody is signed in
 * @param firstAccount whether the first account has to be made
 * @param demoPeople people of the demo clinic with their passwords; none outside the demo
 * @param pageKey by which the page keeps what is not sent yet, 32 bytes in Base64; the person's own, and absent while
 *     nobody is signed in
 */
public record SessionJson(
        @Schema(nullable = true) PersonJson person,
        boolean firstAccount,
        List<DemoPersonJson> demoPeople,
        @Schema(nullable = true) String pageKey) {

    static final String PASSWORD = "allowed: at most 512 characters";
    static final String CODE = "allowed: the six digits that the authenticator shows, or a recovery code";

    /**
     * Somebody signed in.
     *
     * @param mustChangePassword whether the administrator chose the password, so that it has to be changed before
     *     anything else
     * @param secondFactor whether a code is asked beside the password
     */
    public record PersonJson(
            UUID id,
            String name,
            String displayName,
            List<Role> roles,
            boolean mustChangePassword,
            boolean secondFactor) {
        static PersonJson of(SignedIn person) {
            return new PersonJson(
                    person.id(),
                    person.name(),
                    person.displayName(),
                    person.roles().stream().sorted().toList(),
                    person.mustChange(),
                    person.secondFactor());
        }
    }

    /** Somebody of the demo clinic. */
    public record DemoPersonJson(String name, String displayName, String password, List<Role> roles) {}

    /**
     * A second factor about to begin.
     *
     * @param secret for the authenticator, in Base32
     * @param address the same as an address that authenticators understand
     * @param size side of the square that shows the address, in modules
     * @param square the dark modules of the square, as an SVG path
     */
    public record SecondFactorJson(String secret, String address, int size, String square) {}

    /** Recovery codes, each good once; shown this one time. */
    public record RecoveryCodesJson(List<String> codes) {}

    /** A wish for a second factor; the secret is the one just given, the code proves that the authenticator has it. */
    public record ConfirmSecondFactor(
            @NotNull(message = "allowed: the secret that was given")
            @Pattern(regexp = "[A-Z2-7]{32}", message = "allowed: the secret that was given")
            String secret,

            @NotNull(message = CODE) @Size(max = 40, message = CODE)
            String code) {}

    /** Something that only the person may do: proven by the password. */
    public record WithPassword(
            @NotNull(message = "allowed: your password") @Size(max = 512, message = PASSWORD)
            String password) {

        /** Never shows the password. */
        @Override
        public String toString() {
            return "a password";
        }
    }

    /**
     * A sign-in.
     *
     * @param code of the second factor; absent where none is asked
     */
    public record SignIn(
            @NotNull(message = "allowed: your sign-in name") @Size(max = 80, message = "allowed: at most 80 characters")
            String name,

            @NotNull(message = "allowed: your password") @Size(max = 512, message = PASSWORD)
            String password,

            @Schema(nullable = true) @Size(max = 40, message = CODE)
            String code) {

        /** Never shows the password. */
        @Override
        public String toString() {
            return name;
        }
    }

    /** A change of one's own password. */
    public record NewPassword(
            @NotNull(message = "allowed: your present password") @Size(max = 512, message = PASSWORD)
            String present,

            @NotNull(message = AccountJson.PASSWORD)
            @Size(min = Passwords.SHORTEST, max = 2 * Passwords.LONGEST, message = AccountJson.PASSWORD)
            String fresh) {

        /** Never shows a password. */
        @Override
        public String toString() {
            return "a new password";
        }
    }
}
