package lexicor.server.examinations.outcomes;

import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.RuleWords;
import lexicor.server.examinations.outcomes.SignedVisits.Judged;
import org.springframework.stereotype.Component;

/** How criteria of tests are called where nothing is recorded. */
@Component
class CriterionNames {

    private final Catalogue catalogue;

    CriterionNames(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    /** What makes a test positive by a criterion; empty where the library has it no longer. */
    String of(Judged judged) {
        ExaminationTest test = catalogue.test(judged.test());
        return test.criterion(judged.criterion())
                .map(each -> new RuleWords(test, catalogue.schools()).counts(each))
                .orElse("");
    }
}
