package lexicor.server.accounts;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import io.nayuki.qrcodegen.QrCode;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalLong;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * A second factor: codes of an authenticator application that change every half minute (RFC 6238), and recovery codes
 * that work once each. A code that was used is not taken again.
 */
@Component
class SecondFactor {

    private static final int SECRET_BYTES = 20;
    private static final int RECOVERY_CODES = 10;
    private static final int RECOVERY_BYTES = 10;
    private static final int BORDER = 3;

    private final TimeBasedOneTimePasswordGenerator generator = new TimeBasedOneTimePasswordGenerator();
    private final SecureRandom random = new SecureRandom();
    private final JdbcTemplate database;
    private final Clock clock;

    /** Steps used lately, also where the record has no room to keep them. */
    private final Map<UUID, Long> used = new ConcurrentHashMap<>();

    SecondFactor(JdbcTemplate database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    /** A secret for an authenticator, in Base32. */
    String freshSecret() {
        byte[] secret = new byte[SECRET_BYTES];
        random.nextBytes(secret);
        return new Base32().encodeToString(secret);
    }

    /** The address by which an authenticator takes the secret in. */
    String address(String name, String secret) {
        String label =
                URLEncoder.encode("Lexicor:" + name, StandardCharsets.UTF_8).replace("+", "%20");
        return "otpauth://totp/" + label + "?secret=" + secret + "&issuer=Lexicor";
    }

    /** A text as a square of dark and light, drawn as an SVG path in a box of {@code size} by {@code size}. */
    record Square(int size, String path) {
        static Square of(String text) {
            QrCode code = QrCode.encodeText(text, QrCode.Ecc.MEDIUM);
            StringBuilder path = new StringBuilder();
            for (int y = 0; y < code.size; y++) {
                for (int x = 0; x < code.size; x++) {
                    if (code.getModule(x, y)) {
                        path.append("M")
                                .append(x + BORDER)
                                .append(' ')
                                .append(y + BORDER)
                                .append("h1v1h-1z");
                    }
                }
            }
            return new Square(code.size + 2 * BORDER, path.toString());
        }
    }

    /**
     * The step in which a code is good, now or in the steps beside it; empty where it is not.
     *
     * @param after only steps later than that, so that no code is good twice
     */
    OptionalLong step(String secret, String code, long after) {
        Instant now = clock.instant();
        long step = now.getEpochSecond() / generator.getTimeStep().toSeconds();
        for (long each = step - 1; each <= step + 1; each++) {
            if (each > after
                    && MessageDigest.isEqual(
                            at(secret, each).getBytes(StandardCharsets.US_ASCII),
                            code.replace(" ", "").getBytes(StandardCharsets.UTF_8))) {
                return OptionalLong.of(each);
            }
        }
        return OptionalLong.empty();
    }

    /** The last step of an account's that was used since the server started; 0 where none was. */
    long lastStep(UUID account) {
        return used.getOrDefault(account, 0L);
    }

    void used(UUID account, long step) {
        used.put(account, step);
    }

    /** The code of a step. */
    String at(String secret, long step) {
        try {
            return generator.generateOneTimePasswordString(
                    new SecretKeySpec(new Base32().decode(secret), generator.getAlgorithm()),
                    Instant.ofEpochSecond(step * generator.getTimeStep().toSeconds()));
        } catch (GeneralSecurityException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    /** New recovery codes in place of any earlier ones; shown once, kept as hashes. */
    List<String> freshRecoveryCodes(UUID account) {
        database.update("delete from recovery_code where account_id = ?", account);
        List<String> codes = new ArrayList<>();
        for (int i = 0; i < RECOVERY_CODES; i++) {
            byte[] bytes = new byte[RECOVERY_BYTES];
            random.nextBytes(bytes);
            String code =
                    new Base32().encodeToString(bytes).toLowerCase(Locale.ROOT).replaceAll("(.{4})(?=.)", "$1-");
            codes.add(code);
            database.update("insert into recovery_code (account_id, hash) values (?, ?)", account, hash(code));
        }
        return codes;
    }

    /** Uses up a recovery code. Returns whether it was one. */
    boolean useRecoveryCode(UUID account, String code) {
        return database.update("delete from recovery_code where account_id = ? and hash = ?", account, hash(code)) == 1;
    }

    void forgetRecoveryCodes(UUID account) {
        database.update("delete from recovery_code where account_id = ?", account);
    }

    /** Recovery codes are long and random, so that a plain hash is enough. */
    private static String hash(String code) {
        try {
            String bare = code.toLowerCase(Locale.ROOT).replaceAll("[^a-z2-7]", "");
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(bare.getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
