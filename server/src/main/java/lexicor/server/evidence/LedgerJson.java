package lexicor.server.evidence;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.LedgerFile;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A ledger as JSON that leaves the product and comes back: the columns of the table as fields of each record; what a
 * record does not say is absent.
 */
@Component
class LedgerJson {

    private static final String FORMAT = "lexicor-ledger";
    private static final int VERSION = 1;

    private static final Set<String> SHARES = Set.of("sensitivity", "specificity", "lr_positive", "lr_negative");
    private static final Set<String> SIZES = Set.of("n_with", "n_without", "n_total");

    private final JsonMapper json;

    LedgerJson(JsonMapper json) {
        this.json = json;
    }

    /** A file that is no such ledger. */
    static final class Unreadable extends Exception {
        private static final long serialVersionUID = 1;

        Unreadable(String says) {
            super(says);
        }
    }

    String write(Evidence evidence) {
        ObjectNode file = json.createObjectNode();
        file.put("format", FORMAT);
        file.put("version", VERSION);
        file.put("revision", evidence.revision());
        ArrayNode records = file.putArray("records");
        LedgerFile.rows(evidence).forEach(row -> {
            ObjectNode record = records.addObject();
            row.forEach((column, text) -> {
                if (text.isEmpty()) {
                    return;
                }
                if (SHARES.contains(column)) {
                    record.put(column, Double.parseDouble(text));
                } else if (SIZES.contains(column)) {
                    record.put(column, Integer.parseInt(text));
                } else {
                    record.put(column, text);
                }
            });
        });
        return json.writerWithDefaultPrettyPrinter().writeValueAsString(file);
    }

    /** Whether a file begins as JSON does and not as a table. */
    static boolean is(String text) {
        return text.stripLeading().startsWith("{");
    }

    /** The same as a table: the first record is its second line. */
    String table(String text) throws Unreadable {
        JsonNode file = read(text);
        if (!file.path("format").asString("").equals(FORMAT)) {
            throw new Unreadable("format is not '" + FORMAT + "'; allowed: a ledger that Lexicor took out");
        }
        if (file.path("version").asInt(0) != VERSION) {
            throw new Unreadable("version is " + file.path("version") + "; allowed: " + VERSION);
        }
        if (!file.path("records").isArray()) {
            throw new Unreadable("records is missing; allowed: a list of records");
        }
        List<Map<String, String>> rows = new ArrayList<>();
        for (JsonNode record : file.path("records")) {
            rows.add(row(record, rows.size() + 1));
        }
        return LedgerFile.table(rows);
    }

    private JsonNode read(String text) throws Unreadable {
        try {
            return json.readTree(text);
        } catch (JacksonException fault) {
            throw new Unreadable("it is no JSON: " + fault.getOriginalMessage());
        }
    }

    private static Map<String, String> row(JsonNode record, int number) throws Unreadable {
        if (!record.isObject()) {
            throw new Unreadable("record " + number + " is no object; allowed: fields with values");
        }
        Map<String, String> row = new LinkedHashMap<>();
        for (Map.Entry<String, JsonNode> field : record.properties()) {
            if (!LedgerFile.columns().contains(field.getKey())) {
                throw new Unreadable("record " + number + " has the field '" + field.getKey() + "'; allowed: "
                        + String.join(", ", LedgerFile.columns()));
            }
            if (!field.getValue().isValueNode()) {
                throw new Unreadable(field.getKey() + " of record " + number + " is no text or number");
            }
            row.put(
                    field.getKey(),
                    field.getValue().isNull() ? "" : field.getValue().asString());
        }
        return row;
    }
}
