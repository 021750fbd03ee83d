package lexicor.core.worked;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import org.assertj.core.data.Offset;
import org.snakeyaml.engine.v2.api.Load;
import org.snakeyaml.engine.v2.api.LoadSettings;

/** Worked cases of the test resources, and comparison of an answer with what they expect. */
public final class Worked {

    private Worked() {}

    /** A JSON file of the folder {@code worked}. */
    public static Object read(String file) {
        try (InputStream in = Worked.class.getResourceAsStream("/worked/" + file)) {
            return new Load(LoadSettings.builder().setCodePointLimit(10_000_000).build()).loadFromInputStream(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** An object's entries. */
    @SuppressWarnings("unchecked")
    public static Map<String, Object> map(Object node) {
        return (Map<String, Object>) node;
    }

    /** A list's items. */
    @SuppressWarnings("unchecked")
    public static List<Object> list(Object node) {
        return node == null ? List.of() : (List<Object>) node;
    }

    /** A number. */
    public static double number(Object node) {
        return ((Number) node).doubleValue();
    }

    /** Each number of a list, or of a list of lists, against values within {@code tolerance}. */
    public static void close(double[][] actual, Object expected, double tolerance, String what) {
        List<Object> rows = list(expected);
        assertThat(actual).as(what).hasNumberOfRows(rows.size());
        for (int row = 0; row < rows.size(); row++) {
            close(actual[row], rows.get(row), tolerance, what + " row " + row);
        }
    }

    /** Each number of a list within {@code tolerance}. */
    public static void close(double[] actual, Object expected, double tolerance, String what) {
        List<Object> values = list(expected);
        assertThat(actual).as(what).hasSize(values.size());
        for (int at = 0; at < values.size(); at++) {
            assertThat(actual[at]).as(what + " at " + at).isCloseTo(number(values.get(at)), Offset.offset(tolerance));
        }
    }
}
