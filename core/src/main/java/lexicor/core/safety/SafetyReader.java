package lexicor.core.safety;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.DependencyGroup;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.Lock;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.catalogue.Pattern;
import lexicor.core.catalogue.RuleText;
import lexicor.core.catalogue.TestId;
import lexicor.core.source.Fingerprint;
import lexicor.core.source.SourceNode;
import lexicor.core.story.Weeks;

/**
 * Reads the rules of safety and checks them against the catalogue; a fault names file, line, field and what is allowed.
 */
public final class SafetyReader {

    private static final String FILE = "safety.yaml";
    private static final String GROUP = "group:";
    private static final int OLDEST = 130;
    private static final String VOCABULARY = "all, any, not, told, age, since, region, found, answered, chance";

    private final Catalogue catalogue;
    private final Set<String> clues;

    private SafetyReader(Catalogue catalogue, Set<String> clues) {
        this.catalogue = catalogue;
        this.clues = clues;
    }

    /**
     * The rules that ship.
     *
     * @param clues ids of everything that a story can tell
     */
    public static SafetyRules shipped(Catalogue catalogue, Set<String> clues) {
        return read(catalogue, clues, SourceNode.resourceText("/lexicor/catalogue/" + FILE));
    }

    /** Rules from other text. */
    public static SafetyRules read(Catalogue catalogue, Set<String> clues, String text) {
        return new SafetyReader(catalogue, clues).read(text);
    }

    private SafetyRules read(String text) {
        SourceNode root = SourceNode.parse(FILE, text).allowing("referrals", "suspicions", "ranges");
        List<Referral> referrals = new ArrayList<>();
        for (SourceNode node : root.list("referrals")) {
            Referral referral = referral(node);
            if (referrals.stream().anyMatch(known -> known.condition().equals(referral.condition()))) {
                throw node.fault("condition '" + referral.condition() + "' has two rules; allowed: one");
            }
            referrals.add(referral);
        }
        List<Suspicion> suspicions = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        for (SourceNode node : root.list("suspicions")) {
            if (!ids.add(node.text("id"))) {
                throw node.fault("suspicion '" + node.text("id") + "' stands here twice");
            }
            suspicions.add(suspicion(node, referrals));
        }
        return new SafetyRules(
                Fingerprint.of(List.of(text)),
                referrals,
                suspicions,
                root.list("ranges").stream().map(this::range).toList());
    }

    private Referral referral(SourceNode node) {
        node.allowing("condition", "when", "soon", "look-for", "look-first");
        Optional<Referral.LookFirst> first = node.optionalChild("look-first").map(look -> {
            look.allowing("when", "tests");
            return new Referral.LookFirst(
                    circumstance(look.child("when")),
                    look.list("tests").stream().map(this::test).toList());
        });
        return new Referral(
                condition(node.child("condition")),
                possible(node.child("when")),
                node.text("soon"),
                node.has("look-for") ? node.number("look-for", 0.001, 0.999) : Referral.USUAL_LOOK_FOR,
                first);
    }

    private Suspicion suspicion(SourceNode node, List<Referral> referrals) {
        node.allowing("id", "label", "of", "when", "because", "locks", "closes", "spares", "waits", "waiting");
        if (node.has("of") == node.has("when")) {
            throw node.fault(
                    "suspicion '" + node.text("id") + "' has neither 'of' nor 'when', or both; allowed: one of them");
        }
        Optional<ConditionId> of = node.optionalChild("of").map(this::condition);
        Circumstance when = of.map(condition -> referrals.stream()
                        .filter(each -> each.condition().equals(condition))
                        .findFirst()
                        .orElseThrow(() -> node.child("of")
                                .fault("condition '" + condition + "' has no rule to image or refer; allowed: "
                                        + referrals.stream()
                                                .map(Referral::condition)
                                                .toList()))
                        .when())
                .orElseGet(() -> possible(node.child("when")));
        Set<TestId> spared = tests(node, "spares");
        Set<TestId> closes = tests(node, "closes");
        for (SourceNode named : node.list("locks")) {
            Lock lock = catalogue.locks().stream()
                    .filter(each -> each.id().equals(named.asText()))
                    .findFirst()
                    .orElseThrow(() -> named.fault("lock '" + named.asText() + "' is not known; allowed: "
                            + catalogue.locks().stream().map(Lock::id).toList()));
            closes.addAll(lock.tests());
        }
        closes.removeAll(spared);
        if (closes.isEmpty()) {
            throw node.fault(
                    "suspicion '" + node.text("id") + "' closes nothing; allowed: 'locks' or 'closes' with a test");
        }
        Set<TestId> waiting = tests(node, "waiting");
        if (node.text("waits", "false").equals("true") && waiting.isEmpty()) {
            waiting.addAll(closes);
        }
        waiting.removeAll(spared);
        return new Suspicion(node.text("id"), node.text("label"), of, when, node.text("because"), closes, waiting);
    }

    private RangeLimit range(SourceNode node) {
        node.allowing("region", "test", "slack", "forward", "sideways", "active", "free", "rotation");
        if (!catalogue.routines().containsKey(node.text("region"))) {
            throw node.child("region")
                    .fault("region '" + node.text("region") + "' is not known; allowed: "
                            + catalogue.routines().keySet());
        }
        ExaminationTest test = catalogue.test(test(node.child("test")));
        SourceNode free = node.child("free").allowing("part", "from");
        SourceNode rotation = node.child("rotation").allowing("part", "needed-from", "least");
        return new RangeLimit(
                node.text("region"),
                test.id(),
                node.number("slack", 0, 90),
                parts(node, "forward", test),
                parts(node, "sideways", test),
                Set.copyOf(parts(node, "active", test)),
                part(free.child("part"), test),
                free.number("from", 0, 180),
                part(rotation.child("part"), test),
                rotation.number("needed-from", 0, 120),
                rotation.number("least", 0, 120));
    }

    private static List<String> parts(SourceNode node, String field, ExaminationTest test) {
        return node.list(field).stream().map(part -> part(part, test)).toList();
    }

    private static String part(SourceNode node, ExaminationTest test) {
        if (test.part(node.asText()).isEmpty()) {
            throw node.fault("part '" + node.asText() + "' is not recorded by " + test.id() + "; allowed: "
                    + test.parts().stream().map(PartDefinition::key).toList());
        }
        return node.asText();
    }

    private Set<TestId> tests(SourceNode node, String field) {
        Set<TestId> tests = new LinkedHashSet<>();
        for (SourceNode named : node.list(field)) {
            if (named.asText().startsWith(GROUP)) {
                String id = named.asText().substring(GROUP.length());
                DependencyGroup group = catalogue.groups().stream()
                        .filter(each -> each.id().equals(id))
                        .findFirst()
                        .orElseThrow(() -> named.fault("group '" + id + "' is not known; allowed: "
                                + catalogue.groups().stream()
                                        .map(DependencyGroup::id)
                                        .toList()));
                tests.addAll(group.tests());
            } else {
                tests.add(test(named));
            }
        }
        return tests;
    }

    private TestId test(SourceNode node) {
        return catalogue.tests().keySet().stream()
                .filter(id -> id.value().equals(node.asText()))
                .findFirst()
                .orElseThrow(() ->
                        node.fault("test '" + node.asText() + "' is not known; allowed: a test of the catalogue"));
    }

    private ConditionId condition(SourceNode node) {
        return catalogue.conditions().keySet().stream()
                .filter(id -> id.value().equals(node.asText()))
                .findFirst()
                .orElseThrow(() -> node.fault("condition '" + node.asText() + "' is not known; allowed: "
                        + catalogue.conditions().keySet()));
    }

    /**
     * A circumstance that can come true: it does not ask for a thing and its opposite, nor for ages or weeks that
     * exclude each other.
     */
    private Circumstance possible(SourceNode node) {
        Circumstance circumstance = circumstance(node);
        circumstance
                .parts()
                .filter(Circumstance.All.class::isInstance)
                .map(Circumstance.All.class::cast)
                .forEach(all -> {
                    for (Circumstance one : all.each()) {
                        for (Circumstance other : all.each()) {
                            if (exclude(one, other)) {
                                throw node.fault("can never hold: it asks for " + one + " and " + other
                                        + "; allowed: circumstances that can hold together");
                            }
                        }
                    }
                });
        return circumstance;
    }

    private static boolean exclude(Circumstance one, Circumstance other) {
        if (other instanceof Circumstance.Not not && not.circumstance().equals(one)) {
            return true;
        }
        if (one instanceof Circumstance.Found found && other instanceof Circumstance.Found opposite) {
            return found.test().equals(opposite.test())
                    && found.criterion().equals(opposite.criterion())
                    && found.positive() != opposite.positive();
        }
        if (one instanceof Circumstance.Aged young && other instanceof Circumstance.Aged old) {
            return young.ages().to() < old.ages().from();
        }
        return one instanceof Circumstance.Since early
                && other instanceof Circumstance.Since late
                && early.weeks().to() < late.weeks().from();
    }

    private Circumstance circumstance(SourceNode node) {
        Map<String, SourceNode> fields = node.fields();
        if (fields.size() != 1) {
            throw node.fault("a circumstance is one of: " + VOCABULARY);
        }
        SourceNode body = fields.values().iterator().next();
        return switch (fields.keySet().iterator().next()) {
            case "all" ->
                new Circumstance.All(
                        body.items().stream().map(this::circumstance).toList());
            case "any" ->
                new Circumstance.Any(
                        body.items().stream().map(this::circumstance).toList());
            case "not" -> new Circumstance.Not(circumstance(body));
            case "told" ->
                new Circumstance.IntakeAnswers(
                        body.items().stream().map(this::clue).toList());
            case "age" -> aged(body);
            case "since" -> since(body);
            case "region" -> new Circumstance.In(regions(body));
            case "found" -> found(body);
            case "answered" -> answered(body);
            case "chance" -> {
                body.allowing("condition", "from");
                yield new Circumstance.Chance(condition(body.child("condition")), body.number("from", 0.001, 0.999));
            }
            default ->
                throw node.fault(
                        "'" + fields.keySet().iterator().next() + "' is not a circumstance; allowed: " + VOCABULARY);
        };
    }

    private String clue(SourceNode node) {
        if (!clues.contains(node.asText())) {
            throw node.fault("clue '" + node.asText() + "' is not known; allowed: " + clues);
        }
        return node.asText();
    }

    private static Circumstance aged(SourceNode body) {
        body.allowing("from", "to");
        int from = body.has("from") ? body.whole("from", 0, OLDEST) : 0;
        return new Circumstance.Aged(new Pattern.Ages(from, body.has("to") ? body.whole("to", from, OLDEST) : OLDEST));
    }

    private static Circumstance since(SourceNode body) {
        body.allowing("from", "to", "or-unknown");
        int from = body.has("from") ? body.whole("from", 0, Weeks.OLDEST) : 0;
        return new Circumstance.Since(
                new Weeks(from, body.has("to") ? body.whole("to", from, Weeks.OLDEST) : Weeks.OLDEST),
                body.text("or-unknown", "false").equals("true"));
    }

    private Set<String> regions(SourceNode body) {
        Set<String> regions = new LinkedHashSet<>();
        body.items().forEach(region -> {
            if (!catalogue.routines().containsKey(region.asText())) {
                throw region.fault("region '" + region.asText() + "' is not known; allowed: "
                        + catalogue.routines().keySet());
            }
            regions.add(region.asText());
        });
        return regions;
    }

    private Circumstance found(SourceNode body) {
        body.allowing("test", "criterion", "result");
        ExaminationTest test = catalogue.test(test(body.child("test")));
        List<String> criteria = test.reads().stream()
                .flatMap(reads -> reads.by().stream())
                .map(CriterionId::value)
                .distinct()
                .toList();
        if (!criteria.contains(body.text("criterion"))) {
            throw body.child("criterion")
                    .fault("criterion '" + body.text("criterion") + "' of '" + test.id() + "' is not read; allowed: "
                            + criteria);
        }
        String result = body.text("result", "positive");
        if (!Set.of("positive", "negative").contains(result)) {
            throw body.child("result").fault("'" + result + "' is not a result; allowed: positive, negative");
        }
        return new Circumstance.Found(test.id(), CriterionId.of(body.text("criterion")), result.equals("positive"));
    }

    private Circumstance answered(SourceNode body) {
        body.allowing("test", "rule");
        ExaminationTest test = catalogue.test(test(body.child("test")));
        return new Circumstance.Answered(test.id(), RuleText.read(test, catalogue.schools(), body.child("rule")));
    }
}
