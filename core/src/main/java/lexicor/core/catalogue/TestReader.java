package lexicor.core.catalogue;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import lexicor.core.source.SourceNode;

/** Reads one test. Ticks for compensation, guarding and "not done" are added to every test in the same way. */
final class TestReader {

    private static final Gate GUARDED = quality(PartDefinition.GUARDED, "the patient guarded");
    private static final Gate COULD_NOT = quality("could-not", "the position or movement could not be reached");
    private static final Gate OFF_ANGLE =
            quality("off-angle", "the joint was outside the angle that the test asks for");
    private static final Gate SKIPPED = quality("skipped", "it was left out");
    private static final String USUAL_STOP = "The patient asks you to stop, or pain goes above 7 out of 10";

    private final PartVocabulary vocabulary;
    private final Known known;
    private final SchoolReader schools;
    private final ConductReader conduct;
    private final Map<String, Names> names;

    TestReader(
            PartVocabulary vocabulary,
            Known known,
            SchoolReader schools,
            Map<String, List<Way>> ways,
            Map<String, Names> names) {
        this.names = names;
        this.vocabulary = vocabulary;
        this.known = known;
        this.schools = schools;
        this.conduct = new ConductReader(schools, ways);
    }

    ExaminationTest read(SourceNode node) {
        node.allowing(
                "id",
                "name",
                "short",
                "aliases",
                "region",
                "stage",
                "positions",
                "seconds",
                "provocation",
                "review",
                "card",
                "structures",
                "equipment",
                "hold",
                "windows",
                "after",
                "only-where",
                "variants",
                "stops",
                "reach",
                "pose",
                "hand",
                "place",
                "records",
                "well-side",
                "nothing",
                "usual",
                "criteria",
                "gates",
                "reads",
                "also-in");
        CueCard card = card(node.child("card"));
        List<PartDefinition> parts = new ArrayList<>();
        node.list("records").forEach(part -> parts.add(vocabulary.asked(part)));
        boolean hasWindow = !node.list("windows").isEmpty();
        parts.add(qualityPart(card, hasWindow));
        RuleReader rules = new RuleReader(parts, schools);
        List<Gate> gates = new ArrayList<>(List.of(SKIPPED, COULD_NOT, GUARDED));
        if (hasWindow) {
            gates.add(OFF_ANGLE);
        }
        card.watch()
                .forEach(watch -> gates.add(new Gate(
                        new Rule.In(Answers.Asked.THIS, PartDefinition.QUALITY, Set.of(watch.value())),
                        watch.voids(),
                        watch.because())));
        node.list("gates").forEach(gate -> gates.add(rules.gate(gate)));
        List<CriterionId> ids = node.list("criteria").stream()
                .map(criterion -> Known.named(criterion, "id", CriterionId::of))
                .toList();
        List<Criterion> criteria = node.list("criteria").stream()
                .map(criterion -> criterion(criterion, ids, rules))
                .toList();
        List<ConditionReading> reads = node.list("reads").stream()
                .map(reading -> reading(reading, rules, criteria))
                .toList();
        List<AlsoIn> alsoIn = new ArrayList<>();
        for (SourceNode also : node.list("also-in")) {
            also.allowing("condition", "because");
            alsoIn.add(new AlsoIn(condition(also), also.text("because"), also.place()));
        }
        List<String> positions = node.texts("positions");
        if (positions.isEmpty()) {
            throw node.fault("field 'positions' is missing; allowed: at least one of the patient's positions");
        }
        return new ExaminationTest(
                Known.named(node, "id", TestId::of),
                node.text("name"),
                node.text("short", node.text("name")),
                aliases(node),
                namesOf(node),
                node.text("region"),
                node.oneOf("stage", Stage.class),
                positions,
                node.whole("seconds", 1, 600),
                node.whole("provocation", 0, 3),
                node.text("review", "drafted"),
                node.fingerprint(),
                card,
                conduct.read(node, rules),
                parts,
                wellSide(node, parts),
                nothing(node, rules),
                usual(node, parts, rules),
                criteria,
                gates,
                reads,
                alsoIn,
                conduct.pose(node),
                conduct.hand(node),
                conduct.place(node));
    }

    private Names namesOf(SourceNode node) {
        return names.getOrDefault(node.text("id"), Names.NONE);
    }

    /** The names it stands with in the content, and what else the field calls it. */
    private List<String> aliases(SourceNode node) {
        Map<String, String> aliases = new LinkedHashMap<>();
        Names known = namesOf(node);
        Stream.of(node.texts("aliases").stream(), known.usual().stream(), known.also().stream())
                .flatMap(each -> each)
                .filter(name -> !name.equalsIgnoreCase(node.text("name")))
                .forEach(name -> aliases.putIfAbsent(name.toLowerCase(Locale.ROOT), name));
        return List.copyOf(aliases.values());
    }

    private static Gate quality(String value, String because) {
        return new Gate(
                new Rule.In(Answers.Asked.THIS, PartDefinition.QUALITY, Set.of(value)), Gate.Voids.EVERYTHING, because);
    }

    private static CueCard card(SourceNode node) {
        node.allowing("patient", "you", "movement", "ask", "watch", "stop");
        List<CueCard.Watch> watch = new ArrayList<>();
        for (SourceNode item : node.list("watch")) {
            item.allowing("is", "label", "voids", "because");
            watch.add(new CueCard.Watch(
                    item.text("is"), item.text("label"), item.oneOf("voids", Gate.Voids.class), item.text("because")));
        }
        return new CueCard(
                node.text("patient"),
                node.text("you"),
                node.text("movement"),
                node.text("ask"),
                watch,
                node.text("stop", USUAL_STOP));
    }

    private static PartDefinition qualityPart(CueCard card, boolean hasWindow) {
        List<PartDefinition.Option> options = new ArrayList<>();
        card.watch().forEach(watch -> options.add(new PartDefinition.Option(watch.value(), watch.label())));
        if (hasWindow) {
            options.add(new PartDefinition.Option("off-angle", "Off angle"));
        }
        options.add(new PartDefinition.Option(PartDefinition.GUARDED, "Guarded"));
        options.add(new PartDefinition.Option("could-not", "Not reached"));
        options.add(new PartDefinition.Option("skipped", "Left out"));
        return new PartDefinition.Choice(
                PartDefinition.QUALITY, "How it went", true, options, PartDefinition.Taken.ONCE);
    }

    private static List<String> wellSide(SourceNode node, List<PartDefinition> parts) {
        List<String> keys = parts.stream().map(PartDefinition::key).toList();
        return node.list("well-side").stream()
                .map(key -> Known.one(key, key.asText(), keys, "part"))
                .toList();
    }

    private static Map<String, String> nothing(SourceNode node, RuleReader check) {
        Map<String, String> nothing = new LinkedHashMap<>();
        node.optionalChild("nothing")
                .ifPresent(answers ->
                        answers.fields().forEach((key, value) -> nothing.put(key, check.answer(value, key))));
        return nothing;
    }

    /** As the content says, or the patient's own pain at the place named first. */
    private static List<Map<String, String>> usual(SourceNode node, List<PartDefinition> parts, RuleReader check) {
        if (!node.has("usual")) {
            return ownPainAtTheFirstPlace(parts);
        }
        List<Map<String, String>> usual = new ArrayList<>();
        for (SourceNode answers : node.list("usual")) {
            Map<String, String> whole = new LinkedHashMap<>();
            answers.fields().forEach((key, value) -> whole.put(key, check.answer(value, key)));
            usual.add(Collections.unmodifiableMap(whole));
        }
        return usual;
    }

    private static List<Map<String, String>> ownPainAtTheFirstPlace(List<PartDefinition> parts) {
        Map<String, String> answers = new LinkedHashMap<>();
        for (PartDefinition part : parts) {
            if (part instanceof PartDefinition.Choice choice
                    && part.key().equals("pain")
                    && choice.option("familiar").isPresent()) {
                answers.put("pain", "familiar");
            }
            if (part instanceof PartDefinition.Choice choice && part.key().equals("site")) {
                answers.put("site", choice.options().get(0).value());
            }
        }
        return answers.size() == 2 ? List.of(Collections.unmodifiableMap(answers)) : List.of();
    }

    private static Criterion criterion(SourceNode node, List<CriterionId> ids, RuleReader rules) {
        node.allowing("id", "positive", "negative", "counts", "clear", "unread", "gates", "same-as");
        Rule positive = rules.rule(node.child("positive"));
        Rule negative = node.optionalChild("negative").map(rules::rule).orElseGet(() -> new Rule.Not(positive));
        String unread = node.optionalChild("unread").map(rules::phrase).orElse("the answer fits neither");
        return new Criterion(
                Known.named(node, "id", CriterionId::of),
                positive,
                negative,
                rules.phrase(node.child("counts")),
                rules.phrase(node.child("clear")),
                unread,
                node.list("gates").stream().map(rules::gate).toList(),
                node.optionalChild("same-as").map(other -> another(other, node.text("id"), ids)));
    }

    private static CriterionId another(SourceNode node, String own, List<CriterionId> ids) {
        CriterionId other = criterion(node, ids);
        if (other.value().equals(own)) {
            throw node.fault("'same-as' names the criterion itself; allowed: another one of the test");
        }
        return other;
    }

    private ConditionReading reading(SourceNode node, RuleReader rules, List<Criterion> criteria) {
        node.allowing("condition", "by", "gates", "school", "absent");
        List<CriterionId> known = criteria.stream().map(Criterion::id).toList();
        List<CriterionId> by =
                node.list("by").stream().map(item -> criterion(item, known)).toList();
        if (by.isEmpty()) {
            throw node.fault("field 'by' names no criterion; allowed: " + known);
        }
        Optional<ConditionReading.BySchool> school =
                node.optionalChild("school").map(fixed -> bySchool(fixed, by));
        return new ConditionReading(
                condition(node),
                by,
                node.list("gates").stream().map(rules::gate).toList(),
                school,
                absenceSaysNothing(node),
                node.place());
    }

    private static boolean absenceSaysNothing(SourceNode node) {
        String absent = node.text("absent", "");
        if (!absent.isEmpty() && !absent.equals("says-nothing")) {
            throw node.fault("field 'absent' is '" + absent + "'; allowed: says-nothing");
        }
        return !absent.isEmpty();
    }

    private ConditionReading.BySchool bySchool(SourceNode node, List<CriterionId> by) {
        node.allowing("question", "criteria");
        Schools.Question question = schools.question(node.child("question"));
        Map<String, CriterionId> criteria = new LinkedHashMap<>();
        SourceNode given = node.child("criteria");
        given.fields().forEach((choice, criterion) -> {
            SchoolReader.requireChoice(given.keyNode(choice), question);
            criteria.put(choice, criterion(criterion, by));
        });
        question.choices().stream()
                .filter(choice -> !criteria.containsKey(choice.value()))
                .findFirst()
                .ifPresent(missing -> {
                    throw given.fault("no criterion for '" + missing.value() + "'; allowed: one for every answer to '"
                            + question.id() + "'");
                });
        return new ConditionReading.BySchool(question.id(), criteria);
    }

    private static CriterionId criterion(SourceNode node, Collection<CriterionId> known) {
        return Known.one(node, Known.named(node, CriterionId::of), known, "criterion");
    }

    private ConditionId condition(SourceNode node) {
        return known.condition(node.child("condition"));
    }
}
