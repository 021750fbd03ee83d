package lexicor.core.pathway;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.Conduct;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Reading;
import lexicor.core.lookup.Keyed;
import lexicor.core.source.Fingerprint;
import lexicor.core.source.SourceException;
import lexicor.core.source.SourceNode;

/**
 * Reads pathways and refuses what no patient could walk: steps nobody reaches, circles, tests that could not be done,
 * dead ends.
 */
public final class PathwayReader {

    static final String FILE = "pathways.yaml";

    private final Catalogue catalogue;
    private final Set<String> zones;
    private final Map<String, SourceNode> nodes = new HashMap<>();

    private PathwayReader(Catalogue catalogue, Set<String> zones) {
        this.catalogue = catalogue;
        this.zones = zones;
    }

    /** @param zones that an intake asks for */
    public static Pathways shipped(Catalogue catalogue, Set<String> zones) {
        return read(catalogue, zones, SourceNode.resourceText("/lexicor/catalogue/" + FILE));
    }

    /** Pathways from other text, or {@link SourceException} with file and line. */
    public static Pathways read(Catalogue catalogue, Set<String> zones, String text) {
        List<Pathway> pathways = new ArrayList<>();
        for (SourceNode node : SourceNode.parse(FILE, text).items()) {
            Pathway pathway = new PathwayReader(catalogue, zones).pathway(node);
            if (pathways.stream().anyMatch(known -> known.id().equals(pathway.id()))) {
                throw node.fault("pathway '" + pathway.id() + "' stands here twice");
            }
            pathways.add(pathway);
        }
        return new Pathways(Fingerprint.of(List.of(text)), pathways);
    }

    private Pathway pathway(SourceNode node) {
        node.allowing("pathway", "name", "region", "zones", "clues", "steps");
        if (!catalogue.routines().containsKey(node.text("region"))) {
            throw node.child("region")
                    .fault("region '" + node.text("region") + "' is not known; allowed: "
                            + catalogue.routines().keySet());
        }
        node.list("zones").forEach(zone -> requireOneOf(zone, "zone", zones));
        node.list("clues")
                .forEach(clue -> requireOneOf(clue, "clue", catalogue.clues().keySet()));
        List<Step> steps = new ArrayList<>();
        for (SourceNode step : node.list("steps")) {
            Step read = step(step, node.text("region"));
            if (nodes.put(read.id(), step) != null) {
                throw step.fault("step '" + read.id() + "' stands here twice");
            }
            steps.add(read);
        }
        if (steps.isEmpty()) {
            throw node.fault("pathway '" + node.text("pathway") + "' has no steps; allowed: at least one");
        }
        Pathway pathway = new Pathway(
                node.text("pathway"),
                node.text("name"),
                node.text("region"),
                node.texts("zones"),
                node.texts("clues"),
                steps);
        requireKnownWays(pathway);
        requireNoCircle(pathway);
        Map<String, Set<TestId>> before = testsBefore(pathway);
        requireReached(pathway, before);
        requireTestsInTurn(pathway, before);
        return pathway;
    }

    private static void requireOneOf(SourceNode node, String what, Set<String> allowed) {
        if (!allowed.contains(node.asText())) {
            throw node.fault(what + " '" + node.asText() + "' is not known; allowed: "
                    + allowed.stream().sorted().toList());
        }
    }

    private Step step(SourceNode node, String region) {
        if (node.has("ask")) {
            return ask(node);
        }
        return node.has("do") ? examine(node) : end(node, region);
    }

    private static Step ask(SourceNode node) {
        node.allowing("step", "ask", "answers");
        List<Step.Answer> answers = new ArrayList<>();
        for (SourceNode answer : node.list("answers")) {
            answer.allowing("is", "label", "go");
            answers.add(new Step.Answer(answer.text("is"), answer.text("label"), answer.text("go")));
        }
        if (answers.size() < 2) {
            throw node.fault("question '" + node.text("step") + "' has fewer than two answers; allowed: two or more");
        }
        return new Step.Ask(node.text("step"), node.text("ask"), answers);
    }

    private Step examine(SourceNode node) {
        node.allowing("step", "do", "because", "branches", "go");
        ExaminationTest test = catalogue.tests().get(TestId.of(node.text("do")));
        if (test == null) {
            throw node.child("do")
                    .fault("test '" + node.text("do") + "' is not known; allowed: a test of the catalogue");
        }
        List<Step.Branch> branches = node.list("branches").stream()
                .map(branch -> branch(branch, test))
                .toList();
        return new Step.Examine(node.text("step"), test.id(), node.text("because"), branches, node.text("go"));
    }

    private static Step.Branch branch(SourceNode node, ExaminationTest test) {
        node.allowing("of", "criterion", "result", "go");
        ConditionId condition = ConditionId.of(node.text("of"));
        ConditionReading reading = test.readingFor(condition)
                .orElseThrow(() -> node.child("of")
                        .fault("test '" + test.id() + "' does not read '" + condition + "'; allowed: "
                                + test.reads().stream()
                                        .map(ConditionReading::condition)
                                        .toList()));
        CriterionId criterion = CriterionId.of(node.text("criterion"));
        if (!reading.by().contains(criterion)) {
            throw node.child("criterion")
                    .fault("test '" + test.id() + "' does not read '" + condition + "' by '" + criterion
                            + "'; allowed: " + reading.by());
        }
        Reading.Result result = node.oneOf("result", Reading.Result.class);
        if (result == Reading.Result.NOT_YET_KNOWN) {
            throw node.child("result")
                    .fault("what is not known yet leads nowhere; allowed: positive, negative, not-interpretable");
        }
        return new Step.Branch(condition, criterion, result, node.text("go"));
    }

    private Step end(SourceNode node, String region) {
        node.allowing("step", "ends", "conditions", "because");
        List<ConditionId> ranked = catalogue.routine(region).conditions();
        List<ConditionId> conditions = new ArrayList<>();
        for (SourceNode item : node.list("conditions")) {
            ConditionId condition = ConditionId.of(item.asText());
            if (!ranked.contains(condition)) {
                throw item.fault(
                        "condition '" + condition + "' is not ranked for the " + region + "; allowed: " + ranked);
            }
            conditions.add(condition);
        }
        return new Step.End(node.text("step"), node.text("ends"), conditions, node.text("because", ""));
    }

    private void requireKnownWays(Pathway pathway) {
        for (Step step : pathway.steps()) {
            step.ways().filter(next -> !nodes.containsKey(next)).findFirst().ifPresent(next -> {
                throw Keyed.at(nodes, step.id())
                        .fault("step '" + step.id() + "' leads to '" + next + "', which is no step of '" + pathway.id()
                                + "'; allowed: "
                                + pathway.steps().stream().map(Step::id).toList());
            });
        }
    }

    private void requireNoCircle(Pathway pathway) {
        Set<String> sound = new HashSet<>();
        for (Step step : pathway.steps()) {
            follow(pathway, step, new LinkedHashSet<>(), sound);
        }
    }

    private void follow(Pathway pathway, Step step, LinkedHashSet<String> way, Set<String> sound) {
        if (sound.contains(step.id())) {
            return;
        }
        if (!way.add(step.id())) {
            throw Keyed.at(nodes, step.id())
                    .fault("step '" + step.id() + "' comes back to itself (" + String.join(", ", way)
                            + "); allowed: ways that end");
        }
        step.ways().forEach(next -> follow(pathway, pathway.step(next), way, sound));
        way.remove(step.id());
        sound.add(step.id());
    }

    private void requireReached(Pathway pathway, Map<String, Set<TestId>> before) {
        pathway.steps().stream()
                .filter(step -> !before.containsKey(step.id()))
                .findFirst()
                .ifPresent(step -> {
                    throw Keyed.at(nodes, step.id())
                            .fault("no way leads to step '" + step.id() + "'; allowed: steps that a way from '"
                                    + pathway.start().id() + "' reaches");
                });
    }

    /** A test that follows on another is locked unless that other was done on every way to it. */
    private void requireTestsInTurn(Pathway pathway, Map<String, Set<TestId>> before) {
        for (Step step : pathway.steps()) {
            if (step instanceof Step.Examine examine) {
                for (Conduct.After after :
                        catalogue.test(examine.test()).conduct().after()) {
                    if (!Keyed.at(before, step.id()).contains(after.test())) {
                        throw Keyed.at(nodes, step.id())
                                .fault("step '" + step.id() + "' is locked: '" + examine.test()
                                        + "' makes sense only after '" + after.test()
                                        + "', which some way to it leaves out; allowed: a step that does '"
                                        + after.test() + "' before it");
                    }
                }
            }
        }
    }

    /**
     * The tests that are done on every way to a step; steps that no way reaches are missing. The pathway has no circle.
     */
    private static Map<String, Set<TestId>> testsBefore(Pathway pathway) {
        Map<String, Set<TestId>> before = new LinkedHashMap<>();
        before.put(pathway.start().id(), Set.of());
        for (Step step : inTurn(pathway)) {
            Set<TestId> done = new HashSet<>(before.get(step.id()));
            if (step instanceof Step.Examine examine) {
                done.add(examine.test());
            }
            step.ways()
                    .forEach(next -> before.merge(next, Set.copyOf(done), (known, more) -> {
                        Set<TestId> both = new HashSet<>(known);
                        both.retainAll(more);
                        return both;
                    }));
        }
        return before;
    }

    /** The steps that can be reached, each after all that lead to it. */
    static List<Step> inTurn(Pathway pathway) {
        List<Step> inTurn = new ArrayList<>();
        place(pathway, pathway.start(), new HashSet<>(), inTurn);
        return inTurn;
    }

    private static void place(Pathway pathway, Step step, Set<String> placed, List<Step> inTurn) {
        if (placed.add(step.id())) {
            step.ways().forEach(next -> place(pathway, pathway.step(next), placed, inTurn));
            inTurn.add(0, step);
        }
    }
}
