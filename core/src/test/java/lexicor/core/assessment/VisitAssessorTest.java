package lexicor.core.assessment;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.examination.Answer;
import lexicor.core.examination.Attempt;
import lexicor.core.examination.Command;
import lexicor.core.examination.History;
import lexicor.core.examination.OtherSide;
import lexicor.core.examination.Part;
import lexicor.core.examination.Reading;
import lexicor.core.examination.Side;
import lexicor.core.findings.Assumptions;
import lexicor.core.intake.IntakeForm;
import lexicor.core.intake.Person;
import org.junit.jupiter.api.Test;

class VisitAssessorTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Evidence EVIDENCE = EvidenceReader.shipped(CATALOGUE);
    private static final VisitAssessor ASSESSOR = new VisitAssessor(CATALOGUE, IntakeForm.shipped(CATALOGUE));
    private static final ConditionId SUBACROMIAL = ConditionId.of("subacromial-pain");
    private static final ConditionId TEAR = ConditionId.of("cuff-tear-any");

    private static VisitFacts facts(Map<ConditionId, Double> estimates, Command.Action... actions) {
        List<Command> commands = new ArrayList<>();
        for (Command.Action action : actions) {
            commands.add(new Command(
                    new UUID(0, commands.size()),
                    new UUID(0, 0),
                    commands.size() + 1L,
                    "",
                    Instant.EPOCH,
                    TestId.of("sh-hawkins"),
                    action));
        }
        return new VisitFacts(
                "shoulder",
                CareSetting.SPECIALIST,
                Side.RIGHT,
                OtherSide.WELL,
                LocalDate.of(2026, 3, 2),
                new Person(OptionalInt.of(1950), Optional.of(Person.Sex.MAN), Optional.of(true), false, ""),
                History.of(commands),
                CATALOGUE.usualSchools(),
                estimates,
                Assumptions.usual(CATALOGUE));
    }

    private static Command.Action told(Answer... answers) {
        return new Command.IntakeAnswers(List.of(answers));
    }

    private static double chance(AssessedVisit visit, ConditionId condition) {
        return visit.visit().starts().get(condition).chance();
    }

    @Test
    void a_story_moves_the_starts_and_an_own_estimate_stands_in_for_the_shipped_one() {
        AssessedVisit plain = ASSESSOR.assess(facts(Map.of()), EVIDENCE);
        AssessedVisit injured = ASSESSOR.assess(
                facts(Map.of(), told(Answer.of("zone", "shoulder"), Answer.of("onset", "injury"))), EVIDENCE);
        assertThat(chance(injured, TEAR)).isGreaterThan(chance(plain, TEAR));
        AssessedVisit own = ASSESSOR.assess(facts(Map.of(SUBACROMIAL, 0.9)), EVIDENCE);
        assertThat(chance(own, SUBACROMIAL)).isGreaterThan(chance(plain, SUBACROMIAL));
    }

    @Test
    void a_condition_that_needs_a_story_takes_no_part_without_it() {
        ConditionId fracture = ConditionId.of("shoulder-fracture");
        assertThat(ASSESSOR.assess(facts(Map.of()), EVIDENCE).visit().starts()).doesNotContainKey(fracture);
        assertThat(ASSESSOR.assess(facts(Map.of(), told(Answer.of("onset", "injury"))), EVIDENCE)
                        .visit()
                        .starts())
                .containsKey(fracture);
    }

    /** A school chosen for the visit and a lock told are found where they are asked for. */
    @Test
    void what_was_told_is_folded_and_what_was_done_is_read() {
        AssessedVisit visit = ASSESSOR.assess(
                facts(
                        Map.of(),
                        told(Answer.of("facts", "bleeding")),
                        new Command.Recorded(List.of(new Attempt(
                                new UUID(1, 1),
                                TestId.of("sh-hawkins"),
                                "usual",
                                Side.RIGHT,
                                1,
                                Set.of(),
                                List.of(new Part.Chosen("pain", "familiar", Part.Context.PLAIN)))))),
                EVIDENCE);
        assertThat(visit.told().locked()).containsKey(TestId.of("sh-hawkins"));
        assertThat(visit.readings().stream()
                        .filter(reading -> reading.test().equals(TestId.of("sh-hawkins")))
                        .flatMap(reading -> reading.readings().stream())
                        .filter(reading -> reading.condition().equals(SUBACROMIAL))
                        .map(Reading::result))
                .containsOnly(Reading.Result.POSITIVE);
        assertThat(visit.readings().get(0).answered()).isFalse();
    }
}
