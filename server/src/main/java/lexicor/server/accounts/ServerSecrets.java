package lexicor.server.accounts;

import java.security.SecureRandom;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Random values of this installation, made at first use and kept with the record. They never leave the server. */
@Component
public class ServerSecrets {

    /** Marks of devices on which somebody signed in before. */
    static final String DEVICES = "devices";

    /** Keys by which pages keep entries that are not sent yet. */
    static final String PAGE_KEYS = "page-keys";

    private static final String ALGORITHM = "HmacSHA256";
    private static final int BYTES = 32;

    private final JdbcTemplate database;
    private final Map<String, byte[]> known = new ConcurrentHashMap<>();

    ServerSecrets(JdbcTemplate database) {
        this.database = database;
    }

    /** HMAC-SHA-256 of a message under the secret of this name: 32 bytes. */
    byte[] mac(String name, byte[] message) {
        try {
            Mac mac = Mac.getInstance(ALGORITHM);
            mac.init(new SecretKeySpec(known.computeIfAbsent(name, this::read), ALGORITHM));
            return mac.doFinal(message);
        } catch (java.security.GeneralSecurityException impossible) {
            throw new IllegalStateException("every Java platform has " + ALGORITHM, impossible);
        }
    }

    private byte[] read(String name) {
        List<byte[]> kept = kept(name);
        if (kept.isEmpty()) {
            byte[] fresh = new byte[BYTES];
            new SecureRandom().nextBytes(fresh);
            try {
                database.update("insert into server_secret (name, bytes) values (?, ?)", name, fresh);
            } catch (DuplicateKeyException madeMeanwhile) {
                return kept(name).get(0);
            }
            return fresh;
        }
        return kept.get(0);
    }

    private List<byte[]> kept(String name) {
        return database.query("select bytes from server_secret where name = ?", (row, number) -> row.getBytes(1), name);
    }
}
