package lexicor.server.examinations.weighing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Pattern;
import lexicor.core.catalogue.TestId;
import lexicor.core.dependence.Correlation;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Assumptions;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WeighedGroup;
import lexicor.core.nexttest.DecisiveFinding;
import lexicor.core.nexttest.ExpectedInformation;
import lexicor.core.nexttest.TestValue;
import lexicor.core.weighing.LeadingPair;
import lexicor.core.weighing.Ranking;
import lexicor.core.weighing.Standing;
import lexicor.core.weighing.Weighing;
import lexicor.server.examinations.assessment.AheadJson;
import lexicor.server.examinations.assessment.Assessment;
import lexicor.server.examinations.assessment.Assessments;
import lexicor.server.examinations.assessment.StandingJson;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.NotFound;
import org.springframework.stereotype.Component;

/** Looks closely at one condition: what it hangs on, what is assumed, what it could be mistaken for. */
@Component
public class Insights {

    private static final double STRONG = 0.8;
    private static final int MOST_RIVALS = 4;
    private static final int MOST_AHEAD = 6;
    private static final int MOST_SEPARATING = 3;

    private final Catalogue catalogue;
    private final Assessments assessments;

    Insights(Catalogue catalogue, Assessments assessments) {
        this.catalogue = catalogue;
        this.assessments = assessments;
    }

    /**
     * What is the same for every condition of an examination: worked out once, however many are looked at.
     *
     * @param values of the open tests, from where one stands
     */
    private record Look(
            Assessment here,
            Visit visit,
            Ranking ranking,
            Set<TestId> open,
            ExpectedInformation foresight,
            List<TestValue> values,
            List<InsightJson.ReversalJson> decisive) {

        List<TestReading> readings() {
            return here.readings();
        }

        Weighing weighing() {
            return here.figures().weighing();
        }
    }

    /** @param chosen correlations set by hand for this look, by dependency group */
    public InsightJson of(Recorded recorded, String conditionId, Map<String, Double> chosen) {
        Look look = look(recorded, chosen);
        return look.visit().starts().keySet().stream()
                .filter(each -> each.value().equals(conditionId))
                .findFirst()
                .map(each -> of(look, catalogue.condition(each), recorded))
                .orElseThrow(() -> new NotFound("Condition '" + conditionId + "' is not ranked in this examination."));
    }

    /** Every condition that something has informed, by its id, in the order of the ranking. */
    public Map<String, InsightJson> informed(Recorded recorded) {
        Look look = look(recorded, Map.of());
        Map<String, InsightJson> informed = new LinkedHashMap<>();
        look.ranking().standings().stream()
                .filter(Standing::informed)
                .map(Standing::condition)
                .forEach(condition -> informed.put(condition.id().value(), of(look, condition, recorded)));
        return informed;
    }

    private Look look(Recorded recorded, Map<String, Double> chosen) {
        Assessment here = assessments.of(recorded);
        Weighing weighing = here.figures().weighing();
        Visit visit = here.visit().with(assumptions(here.visit().assumptions(), chosen, weighing));
        List<TestReading> readings = here.readings();
        Ranking ranking = chosen.isEmpty()
                ? here.ranking()
                : weighing.weigh(visit, readings, recorded.row().seed());
        Set<TestId> open = here.open().of(visit.region(), readings);
        ExpectedInformation foresight = ExpectedInformation.of(weighing, visit, readings);
        return new Look(
                here,
                visit,
                ranking,
                open,
                foresight,
                foresight.values(
                        open,
                        recorded.history()
                                .standsAt()
                                .map(test -> catalogue.test(test).position())),
                DecisiveFinding.of(weighing, visit, readings, ranking).stream()
                        .map(InsightJson.ReversalJson::of)
                        .toList());
    }

    private InsightJson of(Look look, Condition condition, Recorded recorded) {
        Standing standing = look.ranking().of(condition.id());
        return new InsightJson(
                StandingJson.of(
                        standing,
                        look.ranking().byLens().apply(condition.id()),
                        standing.now(),
                        look.here(),
                        catalogue),
                dials(look, standing),
                look.decisive(),
                rivals(condition, look.ranking(), look.foresight(), look.open()),
                ahead(condition, look.values(), recorded));
    }

    private static Assumptions assumptions(Assumptions usual, Map<String, Double> chosen, Weighing weighing) {
        chosen.forEach((group, rho) -> {
            if (!weighing.correlations().all().containsKey(group)) {
                throw new BadInput(
                        "rho",
                        "'" + group + "' is not a group; allowed: "
                                + String.join(
                                        ", ", weighing.correlations().all().keySet()));
            }
            if (!(rho >= 0 && rho <= Correlation.MOST)) {
                throw new BadInput("rho", rho + " for '" + group + "'; allowed: 0 to " + Correlation.MOST);
            }
        });
        Map<String, Double> all = new LinkedHashMap<>(usual.correlations());
        all.putAll(chosen);
        return usual.with(all);
    }

    private List<InsightJson.DialJson> dials(Look look, Standing standing) {
        List<InsightJson.DialJson> dials = new ArrayList<>();
        for (WeighedGroup group : standing.sum().groups()) {
            if (group.members().size() > 1 && group.correlation().isPresent()) {
                Correlation now = group.correlation().get();
                Correlation usual =
                        look.weighing().correlations().all().get(now.group().id());
                dials.add(new InsightJson.DialJson(
                        now.group().id(),
                        now.group().name(),
                        now.present(),
                        usual.present(),
                        usual.interval().lower(),
                        usual.interval().upper(),
                        usual.origin(),
                        at(look, standing, now, 0),
                        at(look, standing, now, STRONG),
                        usual.lessons().stream().map(InsightJson.LessonJson::of).toList()));
            }
        }
        return dials;
    }

    private static double at(Look look, Standing standing, Correlation group, double rho) {
        Visit visit = look.visit();
        Map<String, Double> chosen = new LinkedHashMap<>(visit.assumptions().correlations());
        chosen.put(group.group().id(), rho);
        return look.weighing()
                .chances(visit.with(visit.assumptions().with(chosen)), look.readings())
                .get(standing.condition().id());
    }

    /** Those that are written beside it, then the leaders it has to hold its own against. */
    private List<InsightJson.RivalJson> rivals(
            Condition condition, Ranking ranking, ExpectedInformation foresight, Set<TestId> open) {
        Map<ConditionId, Pattern.Rival> written = new LinkedHashMap<>();
        Pattern pattern = catalogue.patterns().get(condition.id());
        if (pattern != null) {
            pattern.rivals().forEach(rival -> written.put(rival.condition(), rival));
        }
        List<ConditionId> family = catalogue.widerThan(condition.id());
        Set<ConditionId> rivals = new LinkedHashSet<>(written.keySet());
        ranking.standings().stream()
                .filter(Standing::informed)
                .map(standing -> standing.condition().id())
                .filter(id -> !id.equals(condition.id())
                        && !family.contains(id)
                        && !catalogue.widerThan(id).contains(condition.id()))
                .forEach(rivals::add);
        return rivals.stream()
                .filter(id -> ranking.standings().stream()
                        .anyMatch(standing -> standing.condition().id().equals(id)))
                .limit(MOST_RIVALS)
                .map(id -> rival(condition, ranking.of(id), written.get(id), ranking, foresight, open))
                .toList();
    }

    private InsightJson.RivalJson rival(
            Condition condition,
            Standing rival,
            Pattern.Rival written,
            Ranking ranking,
            ExpectedInformation foresight,
            Set<TestId> open) {
        ConditionId id = rival.condition().id();
        List<InsightJson.SeparatingJson> separating = foresight.separating(condition.id(), id, open).stream()
                .limit(MOST_SEPARATING)
                .map(each -> new InsightJson.SeparatingJson(
                        each.test().value(), catalogue.test(each.test()).shortName(), each.decibans()))
                .toList();
        List<String> byWords = written == null
                ? List.of()
                : written.tests().stream()
                        .filter(open::contains)
                        .map(test -> catalogue.test(test).shortName())
                        .toList();
        List<String> inBoth = LeadingPair.inBoth(condition, rival.condition(), catalogue).stream()
                .map(test -> catalogue.test(test).shortName())
                .toList();
        return new InsightJson.RivalJson(
                id.value(),
                rival.condition().shortName(),
                rival.now(),
                ranking.ahead(condition.id(), id),
                written == null ? "" : written.how(),
                separating,
                byWords,
                inBoth);
    }

    private List<AheadJson> ahead(Condition condition, List<TestValue> values, Recorded recorded) {
        Set<TestId> order =
                Set.copyOf(catalogue.routine(recorded.row().region()).order());
        return values.stream()
                .filter(value -> value.changes().stream()
                        .anyMatch(change -> change.condition().equals(condition)))
                .sorted(Comparator.comparingDouble((TestValue value) -> -bits(value, condition)))
                .limit(MOST_AHEAD)
                .map(value -> AheadJson.of(
                        only(value, condition), catalogue.test(value.test()).shortName(), order.contains(value.test())))
                .toList();
    }

    private static double bits(TestValue value, Condition condition) {
        return value.changes().stream()
                .filter(change -> change.condition().equals(condition))
                .mapToDouble(TestValue.Change::bits)
                .sum();
    }

    private static TestValue only(TestValue value, Condition condition) {
        return new TestValue(
                value.test(),
                bits(value, condition),
                value.seconds(),
                value.moves(),
                value.worthDoing(),
                value.changes().stream()
                        .filter(change -> change.condition().equals(condition))
                        .toList());
    }
}
