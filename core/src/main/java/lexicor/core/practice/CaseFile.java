package lexicor.core.practice;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.Lock;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.catalogue.RedFlag;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Answer;
import lexicor.core.examination.Part;
import lexicor.core.examination.Side;
import lexicor.core.intake.IntakeFolder;
import lexicor.core.intake.IntakeForm;
import lexicor.core.intake.Person;
import lexicor.core.source.SourceException;
import lexicor.core.source.SourceNode;
import org.snakeyaml.engine.v2.api.Dump;
import org.snakeyaml.engine.v2.api.DumpSettings;
import org.snakeyaml.engine.v2.common.FlowStyle;

/** Practice cases as files: YAML that a teacher can write, read and pass on. */
public final class CaseFile {

    /** The version of the format. */
    public static final int VERSION = 1;

    private static final String FORMAT = "lexicor-practice";
    private static final int LONGEST_TITLE = 80;
    private static final int LONGEST_OPENING = 400;
    private static final int OLDEST = 110;
    private static final int MOST_WEEKS = 600;
    private static final String WEEKS_AGO = "weeks-ago";

    private final PracticeGround ground;
    private final Catalogue catalogue;
    private final IntakeForm form;

    public CaseFile(PracticeGround ground) {
        this.ground = ground;
        this.catalogue = ground.catalogue();
        this.form = ground.form();
    }

    /**
     * A case from a text.
     *
     * @param file name used in messages
     * @param day of the visit
     * @throws SourceException with file and line where something is not known, not possible, or contradicts the rest
     */
    public PracticeCase read(String file, String text, LocalDate day) {
        SourceNode root = SourceNode.parse(file, text)
                .allowing(
                        FORMAT,
                        "title",
                        "region",
                        "setting",
                        "side",
                        "seed",
                        "age",
                        "sex",
                        "leading-side",
                        "occupation",
                        "opening",
                        "truth",
                        "story",
                        "answers");
        root.whole(FORMAT, VERSION, VERSION);
        String region = root.text("region");
        if (!catalogue.routines().containsKey(region)) {
            throw root.child("region")
                    .fault("region '" + region + "' is not known; allowed: "
                            + new TreeSet<>(catalogue.routines().keySet()));
        }
        List<Answer> tells = story(root, region, day);
        PracticeCase read = new PracticeCase(
                words(root, "title", LONGEST_TITLE),
                region,
                root.oneOf("setting", CareSetting.class),
                root.oneOf("side", Side.class),
                seed(root),
                day,
                root.whole("age", 1, OLDEST),
                root.oneOf("sex", Person.Sex.class),
                yes(root, "leading-side"),
                words(root, "occupation", LONGEST_TITLE),
                words(root, "opening", LONGEST_OPENING),
                truth(root, region),
                tells,
                answers(root));
        new CaseMaker(ground).fault(read).ifPresent(fault -> {
            SourceNode at = root.has(fault.field())
                    ? root.child(fault.field())
                    : root.child("story").optionalChild(fault.field()).orElse(root.child("story"));
            throw at.fault(fault.message());
        });
        return read;
    }

    private static long seed(SourceNode root) {
        try {
            return Long.parseLong(root.text("seed", "1"));
        } catch (NumberFormatException notWhole) {
            throw root.child("seed").fault("seed is '" + root.text("seed") + "'; allowed: a whole number");
        }
    }

    private static boolean yes(SourceNode node, String field) {
        String said = node.text(field, "yes");
        if (!Set.of("yes", "no").contains(said)) {
            throw node.child(field).fault(field + " is '" + said + "'; allowed: yes, no");
        }
        return said.equals("yes");
    }

    private static String words(SourceNode node, String field, int longest) {
        String words = node.text(field, "");
        if (words.length() > longest) {
            throw node.child(field).fault(field + " has " + words.length() + " characters; allowed: up to " + longest);
        }
        return words;
    }

    private Set<ConditionId> truth(SourceNode root, String region) {
        List<ConditionId> here =
                catalogue.conditionsOf(region).stream().map(Condition::id).toList();
        Set<ConditionId> truth = new LinkedHashSet<>();
        for (SourceNode each : root.list("truth")) {
            ConditionId id = here.stream()
                    .filter(condition -> condition.value().equals(each.asText()))
                    .findFirst()
                    .orElseThrow(() -> each.fault("condition '" + each.asText() + "' is not one of the " + region
                            + "; allowed: " + ids(here)));
            truth.add(id);
            catalogue.widerThan(id).stream().filter(here::contains).forEach(truth::add);
        }
        return truth;
    }

    private static List<String> ids(Collection<ConditionId> conditions) {
        return conditions.stream().map(ConditionId::value).sorted().toList();
    }

    private List<Answer> story(SourceNode root, String region, LocalDate day) {
        SourceNode story = root.child("story");
        List<Answer> answers = new ArrayList<>();
        for (Map.Entry<String, SourceNode> field : story.fields().entrySet()) {
            if (!field.getKey().equals(WEEKS_AGO)) {
                answers.add(answer(field.getKey(), field.getValue(), region));
            }
        }
        for (String none : List.of(IntakeFolder.RED_FLAGS, IntakeFolder.FACTS, "tingling-areas")) {
            if (values(answers, none).isEmpty()) {
                answers.add(Answer.of(none, IntakeForm.NONE));
            }
        }
        story.optionalChild(WEEKS_AGO)
                .ifPresent(since -> since.fields().forEach((fact, weeks) -> {
                    if (!values(answers, IntakeFolder.FACTS).contains(fact)) {
                        throw weeks.fault("fact '" + fact + "' is not told; allowed: one of the facts of this case");
                    }
                    answers.add(Answer.on(IntakeFolder.FACT_DATE + fact, day.minusWeeks((long)
                            weeks.asNumber("weeks since '" + fact + "'", 0, MOST_WEEKS))));
                }));
        if (values(answers, "zone").isEmpty()) {
            throw story.fault("field 'zone' is missing; allowed: "
                    + form.zonesOf(region).stream().map(IntakeForm.Zone::id).toList());
        }
        return answers;
    }

    private static List<String> values(List<Answer> answers, String question) {
        return answers.stream()
                .filter(answer -> answer.question().equals(question))
                .flatMap(answer -> answer.values().stream())
                .toList();
    }

    private Answer answer(String question, SourceNode value, String region) {
        if (form.question(question).flatMap(IntakeForm.Question::scale).isPresent()) {
            IntakeForm.Scale scale =
                    form.question(question).flatMap(IntakeForm.Question::scale).orElseThrow();
            return Answer.number(question, value.asNumber(question, scale.from(), scale.to()));
        }
        Set<String> allowed = allowed(question, value, region);
        List<String> values = new ArrayList<>();
        for (SourceNode each : value.isList() ? value.items() : List.of(value)) {
            if (!allowed.contains(each.asText())) {
                throw each.fault("'" + each.asText() + "' is no answer to '" + question + "'; allowed: " + allowed);
            }
            values.add(each.asText());
        }
        if (values.size() > 1 && values.contains(IntakeForm.NONE)) {
            throw value.fault("'none' stands beside other answers to '" + question + "'; allowed: none alone");
        }
        return Answer.of(question, values.toArray(String[]::new));
    }

    private Set<String> allowed(String question, SourceNode at, String region) {
        Set<String> allowed = new TreeSet<>();
        switch (question) {
            case "zone" -> form.zonesOf(region).forEach(zone -> allowed.add(zone.id()));
            case "pain-areas", "tingling-areas" ->
                form.drawings().stream()
                        .filter(drawing -> drawing.regions().contains(region))
                        .forEach(drawing -> allowed.addAll(drawing.areas().keySet()));
            case IntakeFolder.RED_FLAGS ->
                catalogue.redFlagsOf(region).stream().map(RedFlag::id).forEach(allowed::add);
            case IntakeFolder.FACTS ->
                catalogue.locksAsked(region).stream()
                        .flatMap(lock -> lock.facts().stream())
                        .map(Lock.Fact::id)
                        .forEach(allowed::add);
            default ->
                form.questionsOf(region).stream()
                        .filter(each -> each.id().equals(question) && !each.words())
                        .flatMap(each -> each.options(region).stream())
                        .map(IntakeForm.Option::value)
                        .forEach(allowed::add);
        }
        if (allowed.isEmpty()) {
            throw at.fault(
                    "question '" + question + "' is not asked of the " + region + "; allowed: " + questions(region));
        }
        allowed.add(IntakeForm.NONE);
        return allowed;
    }

    private List<String> questions(String region) {
        List<String> questions = new ArrayList<>(
                List.of("zone", IntakeFolder.RED_FLAGS, IntakeFolder.FACTS, "pain-areas", "tingling-areas", WEEKS_AGO));
        form.questionsOf(region).stream()
                .filter(question -> !question.words())
                .forEach(question -> questions.add(question.id()));
        return questions.stream().sorted().toList();
    }

    private Map<TestId, List<Part>> answers(SourceNode root) {
        Map<TestId, List<Part>> fixed = new LinkedHashMap<>();
        root.optionalChild("answers")
                .ifPresent(answers -> answers.fields().forEach((name, parts) -> {
                    ExaminationTest test = catalogue.tests().values().stream()
                            .filter(each -> each.id().value().equals(name))
                            .findFirst()
                            .orElseThrow(() -> parts.fault(
                                    "test '" + name + "' is not in the library; allowed: the id of a test"));
                    List<Part> here = new ArrayList<>();
                    parts.fields().forEach((key, value) -> here.addAll(parts(test, key, value)));
                    fixed.put(test.id(), here);
                }));
        return fixed;
    }

    private static List<Part> parts(ExaminationTest test, String key, SourceNode value) {
        PartDefinition part = test.part(key)
                .orElseThrow(() -> value.fault("part '" + key + "' is not recorded of " + test.id() + "; allowed: "
                        + test.parts().stream().map(PartDefinition::key).toList()));
        List<Part> parts = new ArrayList<>();
        for (String position :
                part.taken().positions().isEmpty() ? List.of("") : part.taken().positions()) {
            Part.Context context = new Part.Context(position, 1, "");
            if (part instanceof PartDefinition.Measure measure
                    && measure.byEye().stream()
                            .noneMatch(option -> option.value().equals(value.asText()))) {
                parts.add(new Part.Measured(
                        key, value.asNumber(key, measure.least(), measure.most()), measure.unit(), context));
            } else {
                List<PartDefinition.Option> options = part instanceof PartDefinition.Choice choice
                        ? choice.options()
                        : ((PartDefinition.Measure) part).byEye();
                String said = value.asText();
                if (options.stream().noneMatch(option -> option.value().equals(said))) {
                    throw value.fault("'" + said + "' is no answer for '" + key + "' of " + test.id() + "; allowed: "
                            + options.stream().map(PartDefinition.Option::value).toList());
                }
                parts.add(new Part.Chosen(key, said, context));
            }
        }
        return parts;
    }

    /** The text of a case; reading it gives the same case. */
    public String write(PracticeCase made) {
        Map<String, Object> root = new LinkedHashMap<>();
        root.put(FORMAT, VERSION);
        putWords(root, "title", made.title());
        root.put("region", made.region());
        root.put("setting", word(made.setting()));
        root.put("side", word(made.side()));
        root.put("seed", made.seed());
        root.put("age", made.age());
        root.put("sex", word(made.sex()));
        root.put("leading-side", made.leading() ? "yes" : "no");
        putWords(root, "occupation", made.occupation());
        putWords(root, "opening", made.opening());
        root.put("truth", ids(made.present()));
        Map<String, Object> story = new LinkedHashMap<>();
        Map<String, Object> since = new LinkedHashMap<>();
        for (Answer answer : made.tells()) {
            if (answer.on().isPresent()) {
                since.put(answer.about(), ChronoUnit.WEEKS.between(answer.on().get(), made.day()));
            } else if (answer.number().isPresent()) {
                story.put(answer.question(), number(answer.number().getAsDouble()));
            } else {
                story.put(answer.question(), answer.values());
            }
        }
        if (!since.isEmpty()) {
            story.put(WEEKS_AGO, since);
        }
        root.put("story", story);
        if (!made.fixed().isEmpty()) {
            Map<String, Object> answers = new LinkedHashMap<>();
            made.fixed().entrySet().stream()
                    .sorted((one, other) ->
                            one.getKey().value().compareTo(other.getKey().value()))
                    .forEach(each -> answers.put(each.getKey().value(), parts(each.getValue())));
            root.put("answers", answers);
        }
        return new Dump(DumpSettings.builder()
                        .setDefaultFlowStyle(FlowStyle.AUTO)
                        .build())
                .dumpToString(root);
    }

    /** Words that are not there are left out: an empty text is none that can be read. */
    private static void putWords(Map<String, Object> root, String field, String words) {
        if (!words.isEmpty()) {
            root.put(field, words);
        }
    }

    private static Map<String, Object> parts(List<Part> parts) {
        Map<String, Object> values = new LinkedHashMap<>();
        parts.forEach(part -> values.put(
                part.key(),
                part instanceof Part.Measured measured ? number(measured.value()) : ((Part.Chosen) part).choice()));
        return values;
    }

    private static Object number(double value) {
        return value == Math.rint(value) ? (Object) (long) value : (Object) value;
    }

    private static String word(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
