package lexicor.core.practice;

import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import lexicor.core.assessment.AssessedVisit;
import lexicor.core.assessment.VisitAssessor;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Offers;
import lexicor.core.nexttest.ExpectedInformation;
import lexicor.core.nexttest.TestValue;

/** What could be done next in a practice case, and what each would promise. */
public final class NextTests {

    private final PracticeGround ground;
    private final Catalogue catalogue;
    private final VisitAssessor assessor;

    public NextTests(PracticeGround ground) {
        this.ground = ground;
        this.catalogue = ground.catalogue();
        this.assessor = new VisitAssessor(catalogue, ground.form());
    }

    /** The test that promises most for its time; empty where none promises enough to be worth doing. */
    public Optional<TestId> best(PracticeExamination at) {
        return open(at, assess(at)).stream()
                .filter(TestValue::worthDoing)
                .max(Comparator.comparingDouble(TestValue::bitsPerMinute))
                .map(TestValue::test);
    }

    /** What was told and found so far, as it is weighed. */
    AssessedVisit assess(PracticeExamination at) {
        return assessor.assess(at.facts(), ground.weighing().evidence());
    }

    ExpectedInformation information(AssessedVisit visit) {
        return ExpectedInformation.of(ground.weighing(), visit.visit(), visit.readings());
    }

    /** The position in which the patient is; empty before the first test. */
    Optional<String> position(PracticeExamination at) {
        return at.examined().stream()
                .reduce((first, last) -> last)
                .map(last -> catalogue.test(last.test()).position());
    }

    /** What can be done: not done, not locked in this patient, not closed by an answer, not waiting for another. */
    List<TestValue> open(PracticeExamination at, AssessedVisit visit) {
        String region = at.known().region();
        Set<TestId> open = new LinkedHashSet<>(catalogue.routine(region).order());
        open.addAll(catalogue.beyondRoutine(region));
        at.examined().forEach(done -> open.remove(done.test()));
        open.removeAll(at.locked());
        open.removeAll(at.stopped().keySet());
        Offers offers = Offers.of(catalogue, visit.visit().schools(), visit.readings());
        open.removeIf(test -> !offers.offered(test));
        return information(visit).values(open, position(at));
    }
}
