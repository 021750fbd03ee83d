package lexicor.server.accounts;

import com.nulabinc.zxcvbn.Zxcvbn;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lexicor.server.load.Turns;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/**
 * Which passwords are taken, and how they are kept. Rules as in NIST SP 800-63B (revision 4, 3.1.1.2): at least 15
 * characters where the password is the only factor, every character counts, none is demanded, and what is easily
 * guessed (common passwords, the person's own name, patterns) is refused. Kept as Argon2id; hashes of an older kind are
 * read and renewed. Hashing is slow on purpose, so that only a few are computed at a time.
 */
@Component
class Passwords implements PasswordEncoder {

    static final int SHORTEST = 15;
    static final int LONGEST = 256;

    static final String ALLOWED =
            "allowed: 15 to 256 characters of any kind; a few words in a row are easy to remember";

    /** Guesses that a password has to withstand, as zxcvbn estimates them (Wheeler 2016). */
    private static final double FEWEST_GUESSES = 1e8;

    /** Beyond so many characters the estimate costs time and changes nothing. */
    private static final int ESTIMATED = 64;

    /** Waiting for a turn beyond that, or behind so many others, is worse than being told to try again. */
    private static final Duration LONGEST_WAIT = Duration.ofSeconds(5);

    private static final int MOST_WAITING = 20;

    private final PasswordEncoder encoder;
    private final Zxcvbn estimate = new Zxcvbn();
    private final Turns turns = new Turns(
            Turns.halfTheMachine(),
            MOST_WAITING,
            LONGEST_WAIT,
            "Many people are signing in just now. Please try again in a moment.");

    Passwords() {
        DelegatingPasswordEncoder kinds = new DelegatingPasswordEncoder(
                "argon2",
                Map.of(
                        "argon2",
                        Argon2PasswordEncoder.defaultsForSpringSecurity_v5_8(),
                        "bcrypt",
                        new BCryptPasswordEncoder()));
        kinds.setDefaultPasswordEncoderForMatches(new BCryptPasswordEncoder());
        this.encoder = kinds;
    }

    /**
     * Why a password is not taken; empty where it is.
     *
     * @param about words that somebody would guess of this person, such as their names
     */
    Optional<String> fault(String password, List<String> about) {
        int length = password.codePointCount(0, password.length());
        if (length < SHORTEST || length > LONGEST) {
            return Optional.of(ALLOWED);
        }
        String head = password.length() <= ESTIMATED ? password : password.substring(0, ESTIMATED);
        double guesses = estimate.measure(head, about).getGuesses();
        return guesses >= FEWEST_GUESSES ? Optional.empty() : Optional.of("this one is easily guessed; " + ALLOWED);
    }

    @Override
    public String encode(CharSequence password) {
        return turns.take(() -> encoder.encode(password));
    }

    @Override
    public boolean matches(CharSequence password, String hash) {
        return turns.take(() -> encoder.matches(password, hash));
    }

    @Override
    public boolean upgradeEncoding(String hash) {
        return encoder.upgradeEncoding(hash) || !hash.startsWith("{");
    }
}
