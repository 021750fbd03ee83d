package lexicor.core.weighing;

import java.util.List;
import lexicor.core.catalogue.Condition;

/**
 * One plain sentence about a response: what it says of which conditions, and why.
 *
 * @param phrase why, without a full stop
 */
public record Statement(Kind kind, List<Condition> conditions, String phrase) {

    /**
     * What a sentence says. BORROWED findings are measured by nobody and weigh like an average test; NOTED findings
     * have a meaning and no usable accuracy; HARDLY and NOTHING_BESIDE move next to nothing, by themselves or beside
     * the others.
     */
    public enum Kind {
        FOR("Counts for"),
        AGAINST("Counts against"),
        BORROWED_FOR("Counts a little for"),
        BORROWED_AGAINST("Counts a little against"),
        HARDLY("Hardly moves"),
        NOTHING_BESIDE("Adds nothing beside the rest for"),
        NOTED_FOR("Speaks for"),
        NOTED_AGAINST("Speaks against"),
        NOT_READ("Not read for");

        private final String opening;

        Kind(String opening) {
            this.opening = opening;
        }

        public String opening() {
            return opening;
        }
    }

    public Statement {
        conditions = List.copyOf(conditions);
    }

    /** The bold beginning, such as "Counts for subacromial pain and full-thickness cuff tear". */
    public String lead() {
        List<String> names = conditions.stream()
                .map(condition -> inSentence(condition.name()))
                .toList();
        String joined = names.size() == 1
                ? names.get(0)
                : String.join(", ", names.subList(0, names.size() - 1)) + " and " + names.get(names.size() - 1);
        return kind.opening() + " " + joined + after();
    }

    private String after() {
        return switch (kind) {
            case NOTED_FOR, NOTED_AGAINST -> ", not weighed";
            case BORROWED_FOR, BORROWED_AGAINST -> ", not measured";
            default -> "";
        };
    }

    /** The whole sentence. */
    public String text() {
        return lead() + ": " + phrase + ".";
    }

    private static String inSentence(String name) {
        return Character.isUpperCase(name.charAt(0)) && name.length() > 1 && Character.isUpperCase(name.charAt(1))
                ? name
                : Character.toLowerCase(name.charAt(0)) + name.substring(1);
    }
}
