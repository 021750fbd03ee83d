package lexicor.core.catalogue;

import java.util.List;
import lexicor.core.source.SourceNode;

/** Reads a rule about a test that stands elsewhere than with the test. */
public final class RuleText {

    private RuleText() {}

    /** The rule, or a {@link lexicor.core.source.SourceException} that names what the test does not record. */
    public static Rule read(ExaminationTest test, List<Schools.Question> schools, SourceNode node) {
        return new RuleReader(test.parts(), new SchoolReader(schools)).rule(node);
    }
}
