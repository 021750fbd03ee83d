package lexicor.core.intake;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SortedMap;
import java.util.TreeMap;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.catalogue.Retired;
import lexicor.core.catalogue.TestId;
import lexicor.core.pathway.Pathways;

/**
 * The words of everything that a record may name by an id: tests with their parts and answers, conditions, questions
 * with theirs, red flags, facts, schools, areas of drawings. Kept with the record, they tell what was meant when the
 * content has moved on.
 *
 * @param words by kind and id, such as {@code part/sh-arc/pain}
 */
public record ContentWords(Map<String, String> words) {

    private static final String TEST = "test/";
    private static final String CONDITION = "condition/";
    private static final String PART = "part/";
    private static final String OPTION = "option/";
    private static final String UNIT = "unit/";
    private static final String QUESTION = "question/";
    private static final String ANSWER = "answer/";

    public ContentWords {
        words = Map.copyOf(words);
    }

    /** The words of the content as it is now. */
    public static ContentWords of(Catalogue catalogue, IntakeForm form, Pathways pathways) {
        Map<String, String> words = new LinkedHashMap<>();
        catalogue.tests().values().forEach(test -> test(test, words));
        catalogue.conditions().values().forEach(condition -> words.put(CONDITION + condition.id(), condition.name()));
        form.questions().forEach(question -> {
            words.put(QUESTION + question.id(), question.ask());
            question.options()
                    .forEach(option -> words.put(ANSWER + question.id() + "/" + option.value(), option.label()));
        });
        words.put(QUESTION + IntakeFolder.RED_FLAGS, "Red flags");
        catalogue.redFlags().forEach(flag -> words.put(ANSWER + IntakeFolder.RED_FLAGS + "/" + flag.id(), flag.sign()));
        words.put(QUESTION + IntakeFolder.FACTS, "Reasons for care");
        catalogue
                .locks()
                .forEach(lock -> lock.facts()
                        .forEach(fact -> words.put(ANSWER + IntakeFolder.FACTS + "/" + fact.id(), fact.label())));
        words.put(QUESTION + "zone", "Where");
        form.zones().forEach(zone -> words.put(ANSWER + "zone/" + zone.id(), zone.label()));
        for (String kind : List.of("pain-areas", "tingling-areas")) {
            words.put(QUESTION + kind, kind.startsWith("pain") ? "Pain" : "Tingling");
            form.drawings()
                    .forEach(drawing ->
                            drawing.areas().forEach((id, label) -> words.put(ANSWER + kind + "/" + id, label)));
        }
        catalogue.schools().forEach(school -> {
            words.put(QUESTION + "school:" + school.id(), school.question());
            school.choices()
                    .forEach(choice ->
                            words.put(ANSWER + "school:" + school.id() + "/" + choice.value(), choice.label()));
        });
        pathways.all().forEach(pathway -> words.put(ANSWER + Pathways.FOLLOWED + "/" + pathway.id(), pathway.name()));
        return new ContentWords(words);
    }

    private static void test(ExaminationTest test, Map<String, String> words) {
        words.put(TEST + test.id(), test.name());
        for (PartDefinition part : test.parts()) {
            words.put(PART + test.id() + "/" + part.key(), part.label());
            if (part instanceof PartDefinition.Choice choice) {
                choice.options()
                        .forEach(option -> words.put(
                                OPTION + test.id() + "/" + part.key() + "/" + option.value(), option.label()));
            } else if (part instanceof PartDefinition.Measure measure) {
                words.put(UNIT + test.id() + "/" + part.key(), measure.unit());
            }
        }
    }

    /** These words, and of what is not among them those of earlier content. */
    public ContentWords over(ContentWords earlier) {
        Map<String, String> all = new LinkedHashMap<>(earlier.words);
        all.putAll(words);
        return new ContentWords(all);
    }

    /** Tests and conditions that these words name and the content no longer has. */
    public Retired gone(Catalogue now) {
        Map<TestId, ExaminationTest> tests = new LinkedHashMap<>();
        Map<ConditionId, Condition> conditions = new LinkedHashMap<>();
        words.forEach((key, name) -> {
            if (key.startsWith(TEST)) {
                TestId id = TestId.of(key.substring(TEST.length()));
                if (!now.tests().containsKey(id)) {
                    tests.put(id, Retired.test(id, name, Optional.empty(), parts(id)));
                }
            } else if (key.startsWith(CONDITION)) {
                ConditionId id = ConditionId.of(key.substring(CONDITION.length()));
                if (!now.conditions().containsKey(id)) {
                    conditions.put(id, Retired.condition(id, name, Optional.empty()));
                }
            }
        });
        return new Retired(tests, conditions);
    }

    private List<PartDefinition> parts(TestId test) {
        String prefix = PART + test + "/";
        List<PartDefinition> parts = new ArrayList<>();
        words.forEach((key, label) -> {
            if (key.startsWith(prefix)) {
                String part = key.substring(prefix.length());
                String unit = words.get(UNIT + test + "/" + part);
                parts.add(
                        unit == null
                                ? new PartDefinition.Choice(
                                        part, label, true, options(test, part), PartDefinition.Taken.ONCE)
                                : new PartDefinition.Measure(
                                        part,
                                        label,
                                        unit,
                                        -Double.MAX_VALUE,
                                        Double.MAX_VALUE,
                                        1,
                                        OptionalDouble.empty(),
                                        List.of(),
                                        PartDefinition.Taken.ONCE));
            }
        });
        parts.sort(java.util.Comparator.comparing(PartDefinition::key));
        return parts;
    }

    private List<PartDefinition.Option> options(TestId test, String part) {
        String prefix = OPTION + test + "/" + part + "/";
        return words.entrySet().stream()
                .filter(entry -> entry.getKey().startsWith(prefix))
                .map(entry -> new PartDefinition.Option(entry.getKey().substring(prefix.length()), entry.getValue()))
                .toList();
    }

    /** Every question that some content asked, with the answers that it names; both in the order of their ids. */
    public SortedMap<String, List<String>> questions() {
        SortedMap<String, List<String>> questions = new TreeMap<>();
        words.keySet().stream().sorted().forEach(key -> {
            if (key.startsWith(QUESTION)) {
                questions.computeIfAbsent(key.substring(QUESTION.length()), question -> new ArrayList<>());
            } else if (key.startsWith(ANSWER)) {
                String[] of = key.substring(ANSWER.length()).split("/", 2);
                questions.computeIfAbsent(of[0], question -> new ArrayList<>()).add(of[1]);
            }
        });
        return questions;
    }

    /** How a part of a test is called; its key in plain letters where no content ever named it. */
    public String part(TestId test, String key) {
        return words.getOrDefault(PART + test + "/" + key, plain(key));
    }

    /** How an answer to a part of a test is called. */
    public String option(TestId test, String part, String value) {
        return words.getOrDefault(OPTION + test + "/" + part + "/" + value, plain(value));
    }

    /** How a question of the intake is called. */
    public String question(String id) {
        return words.getOrDefault(QUESTION + id, plain(id)).replace("?", "");
    }

    /** Whether some content asked a question of this id. */
    public boolean knows(String question) {
        return words.containsKey(QUESTION + question);
    }

    /** How an answer to a question of the intake is called. */
    public String answer(String question, String value) {
        return words.getOrDefault(ANSWER + question + "/" + value, plain(value));
    }

    private static String plain(String id) {
        return id.replaceAll("[-:]", " ");
    }
}
