package lexicor.core.differential;

import static lexicor.core.worked.Worked.list;
import static lexicor.core.worked.Worked.map;
import static lexicor.core.worked.Worked.number;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lexicor.core.worked.Worked;
import org.junit.jupiter.api.Named;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class DifferentialWorkedTest {

    private static final double CLOSE = 1e-8;

    static Stream<Named<Map<String, Object>>> cases() {
        return list(Worked.read("joint.json")).stream()
                .map(each -> Named.of(map(each).get("name").toString(), map(each)));
    }

    private static Optional<String> text(Object node) {
        return Optional.ofNullable(node).map(Object::toString);
    }

    static Differential.Question question(Map<String, Object> request) {
        List<Map<String, Object>> conditions =
                list(request.get("conditions")).stream().map(Worked::map).toList();
        Forest forest = new Forest(
                conditions.stream().map(each -> each.get("id").toString()).toList(),
                new ArrayList<>(conditions.stream()
                        .map(each -> text(each.get("within")).orElse(null))
                        .toList()));
        double[] starts = conditions.stream()
                .mapToDouble(each -> number(each.get("start")))
                .toArray();
        double[] references = conditions.stream()
                .mapToDouble(each -> number(each.getOrDefault("reference", each.get("start"))))
                .toArray();
        List<Finding.Group> groups = list(request.get("groups")).stream()
                .map(Worked::map)
                .map(each ->
                        new Finding.Group(each.get("id").toString(), number(each.get("rho")), text(each.get("family"))))
                .toList();
        List<Finding> findings = list(request.get("findings")).stream()
                .map(Worked::map)
                .filter(each -> each.get("ratio") == null)
                .map(DifferentialWorkedTest::finding)
                .toList();
        List<Finding.Ratio> ratios = list(request.get("findings")).stream()
                .map(Worked::map)
                .filter(each -> each.get("ratio") != null)
                .map(each -> new Finding.Ratio(
                        each.get("id").toString(),
                        map(each.get("ratio")).get("condition").toString(),
                        number(map(each.get("ratio")).get("value"))))
                .toList();
        return new Differential.Question(
                new Fits(forest, references, number(request.getOrDefault("transport", 0.8))),
                starts,
                groups,
                number(request.getOrDefault("link", 0.1)),
                number(request.getOrDefault("worthless", 0.1)),
                findings,
                ratios);
    }

    private static Finding finding(Map<String, Object> each) {
        return new Finding(
                each.get("id").toString(),
                Finding.Said.valueOf(each.get("answer").toString().toUpperCase(java.util.Locale.ROOT)),
                text(each.get("group")),
                list(each.get("targets")).stream()
                        .map(Worked::map)
                        .map(DifferentialWorkedTest::target)
                        .toList());
    }

    private static Target target(Map<String, Object> each) {
        String condition = each.get("condition").toString();
        if (Boolean.TRUE.equals(each.get("borrowed"))) {
            return new Target.Borrowed(condition);
        }
        Optional<Target.Sizes> sizes = each.get("with") == null
                ? Optional.empty()
                : Optional.of(new Target.Sizes(number(each.get("with")), number(each.get("without"))));
        return new Target.Figures(
                condition,
                number(each.get("sensitivity")),
                number(each.get("specificity")),
                sizes,
                text(each.get("study")),
                text(each.get("except")),
                Optional.empty());
    }

    private static void same(double actual, Object expected, String what) {
        double value = number(expected);
        assertThat(actual).as(what).isCloseTo(value, within(CLOSE * Math.max(1, Math.abs(value))));
    }

    @ParameterizedTest
    @MethodSource("cases")
    void agrees_with_the_worked_case(Map<String, Object> worked) {
        Differential.Question question = question(map(worked.get("request")));
        Forest forest = question.forest();
        Differential differential = new Differential(question);
        Map<String, Object> response = map(worked.get("response"));
        for (Object each : list(response.get("conditions"))) {
            int condition = forest.place(map(each).get("id").toString());
            same(differential.starts()[condition], map(each).get("start"), "start of " + forest.id(condition));
            same(differential.now()[condition], map(each).get("now"), forest.id(condition));
        }
        findings(differential.fitted(), list(response.get("findings")), forest);
        assertThat(differential.leftOut())
                .containsExactlyInAnyOrderElementsOf(list(response.get("leftOut")).stream()
                        .map(Worked::map)
                        .map(each -> new Differential.LeftOut(
                                each.get("finding").toString(),
                                each.get("condition").toString()))
                        .toList());
        List<Object> components = list(response.get("components"));
        assertThat(differential.components()).hasSameSizeAs(components);
        for (int c = 0; c < components.size(); c++) {
            same(
                    Math.exp(differential.components().get(c).logEvidence()),
                    map(components.get(c)).get("evidence"),
                    "evidence");
            same(
                    differential.states(differential.components().get(c)),
                    map(components.get(c)).get("states"),
                    "states");
        }
        List<Object> together = list(response.get("together"));
        assertThat(differential.together()).hasSameSizeAs(together);
        for (int t = 0; t < together.size(); t++) {
            same(differential.together().get(t).both(), map(together.get(t)).get("both"), "together");
        }
        Map<String, Differential.Contribution> contributions = new HashMap<>();
        differential
                .contributions()
                .forEach(each -> contributions.put(each.finding() + " " + forest.id(each.condition()), each));
        assertThat(contributions).hasSameSizeAs(list(response.get("contributions")));
        for (Object each : list(response.get("contributions"))) {
            String key = map(each).get("finding") + " " + map(each).get("condition");
            same(contributions.get(key).alone(), map(each).get("alone"), key);
            same(contributions.get(key).inPlace(), map(each).get("inPlace"), key);
        }
        List<Object> ahead = list(response.get("ahead"));
        assertThat(differential.ahead()).hasSameSizeAs(ahead);
        for (int a = 0; a < ahead.size(); a++) {
            Differential.Ahead actual = differential.ahead().get(a);
            same(actual.positive(), map(ahead.get(a)).get("positive"), "chance of a positive");
            List<Object> after = list(map(ahead.get(a)).get("ifPositive"));
            assertThat(after).hasSize(actual.conditions().size());
            for (Object one : after) {
                int at = actual.conditions()
                        .indexOf(forest.place(map(one).get("id").toString()));
                same(actual.ifPositive()[at], map(one).get("now"), "if positive");
            }
        }
    }

    private static void findings(List<Differential.Fitted> actual, List<Object> expected, Forest forest) {
        assertThat(actual).hasSameSizeAs(expected);
        for (int f = 0; f < expected.size(); f++) {
            Map<String, Object> wanted = map(expected.get(f));
            Differential.Fitted found = actual.get(f);
            assertThat(found.finding()).isEqualTo(wanted.get("id"));
            same(Shares.logistic(found.shares().none()), wanted.get("none"), found.finding() + " none");
            List<Object> only = list(wanted.get("only"));
            assertThat(found.shares().targets()).hasSameSizeAs(only);
            for (int t = 0; t < only.size(); t++) {
                assertThat(forest.id(found.shares().targets().get(t)))
                        .isEqualTo(map(only.get(t)).get("condition"));
                same(
                        Shares.logistic(found.shares().only()[t]),
                        map(only.get(t)).get("share"),
                        found.finding() + " only");
            }
            List<Object> fitted = list(wanted.get("fitted"));
            IntStream.range(0, fitted.size()).forEach(r -> {
                same(found.fitted()[2 * r], map(fitted.get(r)).get("sensitivity"), found.finding() + " sensitivity");
                same(
                        1 - found.fitted()[2 * r + 1],
                        map(fitted.get(r)).get("specificity"),
                        found.finding() + " specificity");
            });
        }
    }
}
