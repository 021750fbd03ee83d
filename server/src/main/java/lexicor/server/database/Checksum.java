package lexicor.server.database;

import java.math.BigInteger;
import java.nio.ByteBuffer;
import java.security.MessageDigest;
import java.util.List;
import lexicor.core.source.Fingerprint;
import org.jspecify.annotations.Nullable;

/** What the rows of a table sum up to: the sum of their SHA-256 hashes, which does not depend on their order. */
final class Checksum {

    private static final BigInteger ROOM = BigInteger.ONE.shiftLeft(256);

    private final MessageDigest digest = Fingerprint.sha256();
    private BigInteger sum = BigInteger.ZERO;
    private long rows;

    void add(List<@Nullable Object> row) {
        for (Object value : row) {
            byte[] bytes = value == null ? new byte[0] : Column.bytes(value);
            digest.update(ByteBuffer.allocate(4)
                    .putInt(value == null ? -1 : bytes.length)
                    .array());
            digest.update(bytes);
        }
        sum = sum.add(new BigInteger(1, digest.digest())).mod(ROOM);
        rows++;
    }

    RecordCopy.Copied of(String table) {
        return new RecordCopy.Copied(table, rows, sum.toString(16));
    }
}
