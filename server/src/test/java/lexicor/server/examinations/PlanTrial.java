package lexicor.server.examinations;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import lexicor.core.findings.Visit;
import lexicor.core.lookup.Keyed;
import lexicor.core.nexttest.JointInformation;
import lexicor.core.planning.Plan;
import lexicor.core.planning.Planner;
import lexicor.core.planning.Situation;
import lexicor.core.simulation.Departure;
import lexicor.core.simulation.SimulatedClinic;
import lexicor.core.simulation.SimulatedPatient;
import lexicor.core.weighing.Weighing;
import lexicor.server.evidence.LivingEvidence;
import lexicor.server.examinations.assessment.Assessment;
import lexicor.server.examinations.assessment.Assessments;
import lexicor.server.examinations.record.CommandKind;
import lexicor.server.examinations.record.CommandRow;
import lexicor.server.examinations.record.ExaminationRecords;
import lexicor.server.examinations.record.ExaminationRow;
import lexicor.server.examinations.record.Recorded;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.test.context.support.WithMockUser;
import org.springframework.transaction.annotation.Transactional;

/**
 * Plans against the catalogue's order done by habit until the time is up, for three demo cases of each region as they
 * were before the first test: what both take and tell, and how far 300 simulated patients end from the truth. Run by
 * {@code ./lexicor bench plans}; what was measured is left in target/plans.txt.
 */
@SpringBootTest(properties = {"spring.datasource.url=jdbc:h2:mem:plans;DB_CLOSE_DELAY=-1", "lexicor.demo=true"})
@WithMockUser(username = "tarn", roles = "THERAPIST")
class PlanTrial {

    private static final int EACH_REGION = 3;
    private static final int PATIENTS = 300;
    private static final long SEED = 20261126;
    private static final double MINUTES = 15;

    @Autowired
    private JdbcTemplate database;

    @Autowired
    private ExaminationRecords examinations;

    @Autowired
    private Assessments assessments;

    @Autowired
    private Catalogue catalogue;

    @Autowired
    private LivingEvidence living;

    private final List<String> lines = new ArrayList<>();

    private record Case(String code, Situation situation, List<TestId> order) {}

    private record Doing(List<TestId> tests, int moves, double seconds) {}

    @Test
    @Transactional
    void plans_beside_habit() throws IOException {
        lines.add(
                "case      minutes         moves        tells, in 100 of all   mean error of the chance (Brier), none/habit/plan/all");
        lines.add("          habit  plan     habit  plan  habit  plan");
        double[] sums = new double[6];
        for (Case each : cases()) {
            beside(each, sums);
        }
        lines.add(String.format(
                Locale.UK,
                "mean      %5.1f %5.1f     %4.1f %5.1f   %4.0f  %4.0f",
                sums[0] / 12,
                sums[1] / 12,
                sums[2] / 12,
                sums[3] / 12,
                sums[4] / 12,
                sums[5] / 12));
        Files.createDirectories(Path.of("target"));
        Files.write(Path.of("target", "plans.txt"), lines);
        lines.forEach(System.out::println);
    }

    private void beside(Case each, double[] sums) {
        Planner planner = Planner.of(catalogue, living.now().weighing(), each.situation());
        Plan plan = planner.plan(60 * MINUTES);
        Doing planned = new Doing(plan.tests(), plan.moves(), plan.seconds());
        Doing habit = habit(each);
        JointInformation nothing = JointInformation.of(
                living.now().weighing(),
                each.situation().visit(),
                each.situation().found(),
                each.situation().doable());
        double all = planner.plan(Double.POSITIVE_INFINITY).bits();
        double byHabit = 100 * nothing.with(habit.tests()).bits() / all;
        double byPlan = 100 * plan.bits() / all;
        double[] errors = errors(
                each,
                List.of(
                        List.of(),
                        habit.tests(),
                        planned.tests(),
                        List.copyOf(each.situation().doable())),
                nothing);
        lines.add(String.format(
                Locale.UK,
                "%s   %5.1f %5.1f     %4d %5d   %4.0f  %4.0f    %.4f (%.4f)  %.4f (%.4f)  %.4f (%.4f)  %.4f (%.4f)",
                each.code(),
                habit.seconds() / 60,
                planned.seconds() / 60,
                habit.moves(),
                planned.moves(),
                byHabit,
                byPlan,
                errors[0],
                errors[1],
                errors[2],
                errors[3],
                errors[4],
                errors[5],
                errors[6],
                errors[7]));
        double[] row = {habit.seconds() / 60, planned.seconds() / 60, habit.moves(), planned.moves(), byHabit, byPlan};
        for (int i = 0; i < row.length; i++) {
            sums[i] += row[i];
        }
    }

    /** The catalogue's order in its usual positions until the time is up. */
    private Doing habit(Case each) {
        List<TestId> tests = new ArrayList<>();
        String at = catalogue.routine(each.situation().visit().region()).beginsIn();
        int moves = 0;
        double seconds = 0;
        for (TestId id : each.order()) {
            ExaminationTest test = catalogue.test(id);
            double takes = test.seconds() * (test.wellSideParts().isEmpty() ? 1 : 2)
                    + (test.position().equals(at) ? 0 : catalogue.effort().changePosition());
            if (seconds + takes > 60 * MINUTES) {
                break;
            }
            moves += test.position().equals(at) ? 0 : 1;
            at = test.position();
            seconds += takes;
            tests.add(id);
        }
        return new Doing(tests, moves, seconds);
    }

    /**
     * For each set of tests the mean distance of the chance from the truth, and its mean square, over drawn patients
     * and the conditions that any test speaks of.
     */
    private double[] errors(Case each, List<List<TestId>> sets, JointInformation nothing) {
        List<ConditionId> conditions = each.situation().ranking().standings().stream()
                .map(standing -> standing.condition().id())
                .filter(id -> each.situation().doable().stream().anyMatch(test -> nothing.gain(test, id) > 0))
                .toList();
        Weighing weighing = living.now().weighing().withoutRanges();
        Visit visit = each.situation().visit();
        SimulatedClinic clinic = new SimulatedClinic(
                weighing,
                visit,
                each.situation().doable().stream()
                        .sorted(Comparator.comparing(TestId::value))
                        .toList(),
                Departure.NONE,
                SEED);
        double[] errors = new double[2 * sets.size()];
        for (int p = 0; p < PATIENTS; p++) {
            SimulatedPatient patient = clinic.patient(SEED + p);
            for (int set = 0; set < sets.size(); set++) {
                Map<ConditionId, Double> chances = weighing.chances(
                        visit,
                        sets.get(set).stream()
                                .filter(clinic.tests()::contains)
                                .map(patient::answer)
                                .toList());
                for (ConditionId id : conditions) {
                    double error = Math.abs((patient.present().contains(id) ? 1 : 0) - Keyed.at(chances, id));
                    errors[2 * set] += error / PATIENTS / conditions.size();
                    errors[2 * set + 1] += error * error / PATIENTS / conditions.size();
                }
            }
        }
        return errors;
    }

    private List<Case> cases() {
        List<Recorded> all = database.queryForList("select id from examination", UUID.class).stream()
                .map(examinations::examination)
                .sorted(Comparator.comparing(
                        recorded -> recorded.row().caseFile().code()))
                .toList();
        List<Case> cases = new ArrayList<>();
        Map<String, Integer> counts = new HashMap<>();
        for (Recorded recorded : all) {
            long first = recorded.commands().stream()
                    .filter(command -> command.kind() == CommandKind.RECORD)
                    .mapToLong(CommandRow::number)
                    .min()
                    .orElse(Long.MAX_VALUE);
            Recorded before = recorded.upTo(first - 1);
            if (counts.merge(before.row().region(), 1, Integer::sum) <= EACH_REGION) {
                cases.add(situation(before));
            }
        }
        assertThat(cases).hasSize(4 * EACH_REGION);
        return cases;
    }

    private Case situation(Recorded before) {
        ExaminationRow row = before.row();
        Assessment here = assessments.of(before);
        Set<TestId> doable = here.open().of(row.region(), here.readings());
        List<TestId> order = catalogue.routine(row.region()).order(here.told().zones()).stream()
                .filter(doable::contains)
                .toList();
        return new Case(
                row.caseFile().code(),
                new Situation(
                        here.visit(),
                        here.readings(),
                        here.ranking(),
                        doable,
                        Optional.empty(),
                        Map.of(),
                        false,
                        Situation.Looking.usual(),
                        Situation.Practice.everything()),
                order);
    }
}
