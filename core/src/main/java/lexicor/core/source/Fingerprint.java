package lexicor.core.source;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;

/** A short name for content: equal content, equal name. */
public final class Fingerprint {

    private Fingerprint() {}

    /** The first twelve hexadecimal digits of SHA-256 over the texts in order. */
    public static String of(List<String> texts) {
        MessageDigest digest = sha256();
        texts.forEach(text -> digest.update(text.getBytes(StandardCharsets.UTF_8)));
        return HexFormat.of().formatHex(digest.digest(), 0, 6);
    }

    /** A new digest of SHA-256. */
    public static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException missing) {
            throw new IllegalStateException("every Java platform has SHA-256", missing);
        }
    }
}
