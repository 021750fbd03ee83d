package lexicor.core.catalogue;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lexicor.core.source.SourceNode;

/** Reads the questions on which schools differ, and refuses answers that no school gives. */
final class SchoolReader {

    /** What depends on a school beside how tests are done, read and counted. */
    private static final Set<String> DECIDED_ELSEWHERE = Set.of("weighing", "force");

    private final Map<String, Schools.Question> questions = new LinkedHashMap<>();
    private final Map<String, SourceNode> unused = new LinkedHashMap<>();

    SchoolReader(List<Schools.Question> known) {
        known.forEach(question -> questions.put(question.id(), question));
    }

    SchoolReader(SourceNode root) {
        for (SourceNode node : root.items()) {
            node.allowing("id", "question", "usual", "choices", "decides");
            List<Schools.Choice> choices = new ArrayList<>();
            for (SourceNode choice : node.list("choices")) {
                choice.allowing("is", "label");
                choices.add(new Schools.Choice(choice.text("is"), choice.text("label")));
            }
            Schools.Question question =
                    new Schools.Question(node.text("id"), node.text("question"), node.text("usual"), choices);
            requireChoice(node.child("usual"), question);
            if (questions.put(question.id(), question) != null) {
                throw node.fault("question '" + question.id() + "' stands here twice");
            }
            if (!node.has("decides")) {
                unused.put(question.id(), node);
            } else if (!DECIDED_ELSEWHERE.contains(node.text("decides"))) {
                throw node.child("decides")
                        .fault("field 'decides' is '" + node.text("decides")
                                + "'; allowed: force, weighing, or nothing where tests or sets depend on it");
            }
        }
    }

    List<Schools.Question> questions() {
        return List.copyOf(questions.values());
    }

    Schools.Question question(SourceNode node) {
        Schools.Question question = questions.get(node.asText());
        if (question == null) {
            throw node.fault(
                    "question '" + node.asText() + "' is not known; allowed: " + String.join(", ", questions.keySet()));
        }
        unused.remove(question.id());
        return question;
    }

    /** Refuses a question on which nothing depends. */
    void requireUsed() {
        unused.forEach((question, node) -> {
            throw node.fault("nothing depends on question '" + question
                    + "'; allowed: a question that a test or a set asks, or 'decides: weighing' or 'decides: force'");
        });
    }

    Conduct.SchoolChoice choice(SourceNode question, SourceNode choice) {
        Schools.Question known = question(question);
        requireChoice(choice, known);
        return new Conduct.SchoolChoice(known.id(), choice.asText());
    }

    static void requireChoice(SourceNode node, Schools.Question question) {
        if (question.choice(node.asText()).isEmpty()) {
            throw node.fault("'" + node.asText() + "' is no answer to '" + question.id() + "'; allowed: "
                    + String.join(
                            ", ",
                            question.choices().stream()
                                    .map(Schools.Choice::value)
                                    .toList()));
        }
    }
}
