package lexicor.core.intake;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Lock;
import lexicor.core.catalogue.Routine;
import lexicor.core.source.Fingerprint;
import lexicor.core.source.SourceNode;
import lexicor.core.story.StoryReader;
import lexicor.core.story.StoryTable;
import lexicor.core.story.Weeks;

/**
 * Reads the form of the intake and checks it against the catalogue; a fault names file, line, field and what is
 * allowed.
 */
public final class IntakeReader {

    private static final String FILE = "intake.yaml";

    private final Catalogue catalogue;
    private final Set<String> facts = new HashSet<>();

    private IntakeReader(Catalogue catalogue) {
        this.catalogue = catalogue;
        catalogue.locks().stream()
                .flatMap(lock -> lock.facts().stream())
                .map(Lock.Fact::id)
                .forEach(facts::add);
    }

    static IntakeForm shipped(Catalogue catalogue) {
        String text = SourceNode.resourceText("/lexicor/catalogue/" + FILE);
        IntakeForm form = read(catalogue, text);
        StoryTable story = StoryReader.shipped(catalogue, toldClues(catalogue, form), areas(form));
        return new IntakeForm(
                Fingerprint.of(List.of(text, story.revision())),
                form.zones(),
                form.drawings(),
                form.questions(),
                form.follows(),
                story);
    }

    /** Words of everything that can be told, by the clue that it is. */
    public static Map<String, String> toldClues(Catalogue catalogue, IntakeForm form) {
        Map<String, String> told = new LinkedHashMap<>();
        form.questions()
                .forEach(question -> question.options()
                        .forEach(option -> told.put(question.id() + ":" + option.value(), option.label())));
        catalogue
                .locks()
                .forEach(lock ->
                        lock.facts().forEach(fact -> told.put(IntakeFolder.FACTS + ":" + fact.id(), fact.label())));
        told.put(IntakeFolder.NO_TINGLING, "No tingling");
        return told;
    }

    /** Ids of the areas that can be painted. */
    public static Set<String> areas(IntakeForm form) {
        return form.drawings().stream()
                .flatMap(drawing -> drawing.areas().keySet().stream())
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** A form from other text, in which no story moves a start. */
    public static IntakeForm read(Catalogue catalogue, String text) {
        return new IntakeReader(catalogue).read(text);
    }

    private IntakeForm read(String text) {
        SourceNode root = SourceNode.parse(FILE, text).allowing("zones", "areas", "questions", "follows");
        List<IntakeForm.Question> questions =
                root.list("questions").stream().map(this::question).toList();
        for (SourceNode question : root.list("questions")) {
            for (SourceNode option : question.list("options")) {
                option.optionalChild("not-with").ifPresent(node -> requireAnswers(node, questions));
                option.optionalChild("where").ifPresent(node -> requireAnswers(node, questions));
            }
            question.optionalChild("where").ifPresent(node -> requireAnswers(node, questions));
        }
        requireOnce(root.list("questions"), "id");
        requireOnce(root.list("zones"), "zone");
        requireZonesOfRoutines(root.child("zones"));
        return new IntakeForm(
                Fingerprint.of(List.of(text)),
                root.list("zones").stream().map(this::zone).toList(),
                root.list("areas").stream().map(this::drawing).toList(),
                questions,
                root.list("follows").stream()
                        .map(node -> follows(node, questions))
                        .toList(),
                StoryTable.NONE);
    }

    private static void requireOnce(List<SourceNode> nodes, String field) {
        Set<String> seen = new HashSet<>();
        for (SourceNode node : nodes) {
            if (!seen.add(node.text(field))) {
                throw node.fault(field + " '" + node.text(field) + "' stands here twice");
            }
        }
    }

    /** A step of a routine that waits for a zone nobody can name would never be in the order. */
    private void requireZonesOfRoutines(SourceNode zones) {
        for (Routine routine : catalogue.routines().values()) {
            List<String> named = zones.items().stream()
                    .filter(zone -> zone.text("region").equals(routine.region()))
                    .map(zone -> zone.text("zone"))
                    .toList();
            routine.steps().stream()
                    .flatMap(step -> step.zones().stream())
                    .filter(zone -> !named.contains(zone))
                    .findFirst()
                    .ifPresent(zone -> {
                        throw zones.fault("the routine of the " + routine.region() + " waits for zone '" + zone
                                + "', which is none of its zones; allowed: " + named);
                    });
        }
    }

    private IntakeForm.Zone zone(SourceNode node) {
        node.allowing("zone", "region", "label", "clue", "conditions");
        String region = region(node.child("region"));
        Set<ConditionId> conditions = new LinkedHashSet<>();
        for (SourceNode item : node.list("conditions")) {
            ConditionId condition = catalogue.conditions().keySet().stream()
                    .filter(id -> id.value().equals(item.asText()))
                    .findFirst()
                    .orElseThrow(() -> item.fault("condition '" + item.asText() + "' is not known; allowed: "
                            + catalogue.conditions().keySet()));
            conditions.add(condition);
        }
        return new IntakeForm.Zone(
                node.text("zone"),
                region,
                node.text("label"),
                node.optionalChild("clue").map(this::clue),
                conditions);
    }

    private IntakeForm.Drawing drawing(SourceNode node) {
        node.allowing("view", "regions", "areas");
        Map<String, String> areas = new LinkedHashMap<>();
        node.child("areas").fields().forEach((id, label) -> areas.put(id, label.asText()));
        return new IntakeForm.Drawing(node.text("view"), regions(node), areas);
    }

    private IntakeForm.Question question(SourceNode node) {
        node.allowing("id", "ask", "options", "many", "none", "scale", "again", "words", "where");
        List<IntakeForm.Option> options =
                node.list("options").stream().map(this::option).toList();
        requireOnce(node.list("options"), "is");
        Optional<IntakeForm.Scale> scale = node.optionalChild("scale").map(each -> {
            each.allowing("from", "to");
            int from = each.whole("from", 0, 1000);
            return new IntakeForm.Scale(from, each.whole("to", from + 1, 1000));
        });
        boolean words = yes(node, "words");
        if ((scale.isPresent() ? 1 : 0) + (options.isEmpty() ? 0 : 1) + (words ? 1 : 0) != 1) {
            throw node.fault("question '" + node.text("id")
                    + "' has none or several of options, a scale and words; allowed: one of them");
        }
        return new IntakeForm.Question(
                node.text("id"),
                node.text("ask"),
                options,
                yes(node, "many"),
                node.optionalChild("none").map(SourceNode::asText),
                scale,
                yes(node, "again"),
                words,
                answers(node, "where"));
    }

    private static boolean yes(SourceNode node, String field) {
        String said = node.text(field, "false");
        if (!said.equals("true") && !said.equals("false")) {
            throw node.child(field).fault("field '" + field + "' is '" + said + "'; allowed: true, false");
        }
        return said.equals("true");
    }

    private IntakeForm.Option option(SourceNode node) {
        node.allowing("is", "label", "regions", "clues", "not-with", "implies", "weeks", "where");
        Optional<Weeks> weeks = node.optionalChild("weeks").map(each -> {
            each.allowing("from", "to");
            int from = each.whole("from", 0, Weeks.OLDEST);
            return new Weeks(from, each.has("to") ? each.whole("to", from, Weeks.OLDEST) : Weeks.OLDEST);
        });
        return new IntakeForm.Option(
                node.text("is"),
                node.text("label"),
                regions(node),
                node.list("clues").stream().map(this::clue).toList(),
                answers(node, "not-with"),
                node.texts("implies"),
                weeks,
                answers(node, "where"));
    }

    private static Map<String, List<String>> answers(SourceNode node, String field) {
        Map<String, List<String>> answers = new LinkedHashMap<>();
        node.optionalChild(field)
                .ifPresent(other ->
                        other.fields().keySet().forEach(question -> answers.put(question, other.texts(question))));
        return answers;
    }

    private IntakeForm.Follows follows(SourceNode node, List<IntakeForm.Question> questions) {
        node.allowing("fact", "scale", "from", "and");
        if (!facts.contains(node.text("fact"))) {
            throw node.child("fact").fault("fact '" + node.text("fact") + "' locks nothing; allowed: " + facts);
        }
        if (questions.stream()
                .noneMatch(question ->
                        question.scale().isPresent() && question.id().equals(node.text("scale")))) {
            throw node.child("scale").fault("'" + node.text("scale") + "' is not a question with a scale");
        }
        SourceNode and = node.child("and");
        requireAnswers(and, questions);
        Map<String, List<String>> answers = new LinkedHashMap<>();
        and.fields().keySet().forEach(question -> answers.put(question, and.texts(question)));
        return new IntakeForm.Follows(node.text("fact"), node.text("scale"), node.whole("from", 0, 1000), answers);
    }

    /** Question by question, options that are there. */
    private static void requireAnswers(SourceNode node, List<IntakeForm.Question> questions) {
        node.fields().forEach((id, values) -> {
            IntakeForm.Question question = questions.stream()
                    .filter(each -> each.id().equals(id))
                    .findFirst()
                    .orElseThrow(() -> values.fault("question '" + id + "' is not asked; allowed: "
                            + questions.stream().map(IntakeForm.Question::id).toList()));
            List<String> allowed =
                    question.options().stream().map(IntakeForm.Option::value).toList();
            values.items().stream()
                    .filter(value -> !allowed.contains(value.asText()))
                    .findFirst()
                    .ifPresent(value -> {
                        throw value.fault("'" + value.asText() + "' is no answer to '" + id + "'; allowed: " + allowed);
                    });
        });
    }

    private String clue(SourceNode node) {
        if (!catalogue.clues().containsKey(node.asText())) {
            throw node.fault("clue '" + node.asText() + "' is not known; allowed: "
                    + catalogue.clues().keySet().stream().sorted().toList());
        }
        return node.asText();
    }

    private List<String> regions(SourceNode node) {
        List<String> regions = new ArrayList<>();
        node.list("regions").forEach(item -> regions.add(region(item)));
        return regions;
    }

    private String region(SourceNode node) {
        if (!catalogue.routines().containsKey(node.asText())) {
            throw node.fault("region '" + node.asText() + "' is not known; allowed: "
                    + catalogue.routines().keySet());
        }
        return node.asText();
    }
}
