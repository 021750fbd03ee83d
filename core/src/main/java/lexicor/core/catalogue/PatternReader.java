package lexicor.core.catalogue;

import java.util.ArrayList;
import java.util.List;
import lexicor.core.source.SourceNode;

/** Reads what is expected of a condition, its rivals and what would settle it. */
final class PatternReader {

    private final Known known;

    PatternReader(Known known) {
        this.known = known;
    }

    Pattern read(SourceNode node) {
        node.allowing("condition", "expects", "against", "defining", "rivals", "settles");
        ConditionId condition = known.condition(node.child("condition"));
        List<Pattern.Rival> rivals = new ArrayList<>();
        for (SourceNode rival : node.list("rivals")) {
            rival.allowing("condition", "tests", "how");
            rivals.add(new Pattern.Rival(
                    known.condition(rival.child("condition")), known.tests(rival, "tests"), rival.text("how")));
        }
        return new Pattern(
                condition,
                findings(node, "expects", condition),
                findings(node, "against", condition),
                findings(node, "defining", condition),
                rivals,
                node.optionalChild("settles").map(PatternReader::settles));
    }

    private static Pattern.Settles settles(SourceNode node) {
        node.allowing("by", "soon");
        return new Pattern.Settles(node.text("by"), node.text("soon", ""));
    }

    private List<Pattern.Expected> findings(SourceNode node, String field, ConditionId condition) {
        List<Pattern.Expected> findings = new ArrayList<>();
        for (SourceNode finding : node.list(field)) {
            finding.allowing("test", "criterion", "result", "says");
            TestId test = known.test(finding.child("test"));
            CriterionId criterion = field.equals("against")
                    ? known.criterion(finding.child("criterion"), test)
                    : known.criterion(finding.child("criterion"), test, condition);
            String result = finding.text("result", "positive");
            if (!result.equals("positive") && !result.equals("negative")) {
                throw finding.child("result").fault("'" + result + "' is not a result; allowed: positive, negative");
            }
            findings.add(new Pattern.Expected(test, criterion, result.equals("positive"), finding.text("says")));
        }
        return findings;
    }
}
