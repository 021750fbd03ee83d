package lexicor.server.accounts;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.Locale;
import org.apache.commons.codec.binary.Base32;
import org.springframework.stereotype.Component;

/**
 * What shows that whoever makes the first account stands at the server: a code that is printed where the server was
 * started, anew at each start, and is worth nothing once there is an account.
 */
@Component
public class FirstAccountCode {

    private static final int BYTES = 10;

    private final String code;

    FirstAccountCode() {
        byte[] bytes = new byte[BYTES];
        new SecureRandom().nextBytes(bytes);
        this.code = new Base32().encodeToString(bytes).replaceAll("(.{4})(?=.)", "$1-");
    }

    /** The code as it is printed. */
    public String printed() {
        return code;
    }

    boolean isIt(String typed) {
        return MessageDigest.isEqual(bare(typed), bare(code));
    }

    private static byte[] bare(String typed) {
        return typed.toUpperCase(Locale.ROOT).replaceAll("[^A-Z2-7]", "").getBytes(StandardCharsets.US_ASCII);
    }
}
