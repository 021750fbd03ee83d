package lexicor.server.settings;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.Schools;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.dependence.Correlation;
import lexicor.core.findings.Assumptions;
import lexicor.core.planning.RoutineCheck;
import lexicor.core.planning.WorkRoutine;
import lexicor.core.tracking.NoiseTable;
import lexicor.server.evidence.LivingEvidence;
import lexicor.server.notes.NoteLength;
import lexicor.server.notes.NoteTemplate;
import org.springframework.stereotype.Component;

/** The names of the settings, what each may be, and how it is called in words. */
@Component
class SettingNames {

    static final String SCHOOL = "school.";
    static final String ESTIMATE = "estimate.";
    static final String LINK = "weighing.link";
    static final String BETWEEN_STUDIES = "weighing.between-studies";
    static final String RHO = "rho.";
    static final String OWN = "own.";
    static final String NOTE = "note.";
    static final String NOISE = "noise.";
    static final String ROUTINE = "routine.";
    static final String AMOUNT = ".amount";
    static final String SHARE = ".share";
    static final String SET_ASIDE = "threshold.set-aside";
    static final String TEST = "threshold.test";
    static final String ACT = "threshold.act";
    static final String SERIOUS = "threshold.serious";

    private static final Map<String, String> THRESHOLDS = Map.of(
            SET_ASIDE,
            "Set aside below",
            TEST,
            "Test further from",
            ACT,
            "Working diagnosis above",
            SERIOUS,
            "Serious conditions: arrange imaging or referral above");

    private static final Map<String, String> WEIGHING = Map.of(
            LINK,
            "Correlation between findings of different groups",
            BETWEEN_STUDIES,
            "Spread of a study's figures elsewhere, on the logit");

    /** Settings that are one of a list. */
    enum Listed {
        SIDE_OF_REACH("side-of-reach", "Side of the screen within reach", "right", List.of("right", "left")),
        TEST_NAMES(
                "test-names", "Tests are called first by", "what is done", List.of("what is done", "the usual name")),
        FORCE_UNIT("force-unit", "Unit of force", "newtons", List.of("newtons", "kilograms")),
        OWN_ESTIMATES("own-estimates", "Weigh the clinic's own estimates", "no", List.of("no", "yes")),
        UNMEASURED("unmeasured-findings", "Findings that nobody has measured", "weighed", List.of("weighed", "noted")),
        SECOND_PERSON(
                "second-person", "A changed figure of the ledger needs a second person", "no", List.of("no", "yes")),
        IDLE_MINUTES("idle-minutes", "Lock the screen after, in minutes", "10", List.of("2", "5", "10", "15", "20"));

        private final String settingName;
        private final String words;
        private final String shipped;
        private final List<String> allowed;

        Listed(String settingName, String words, String shipped, List<String> allowed) {
            this.settingName = settingName;
            this.words = words;
            this.shipped = shipped;
            this.allowed = allowed;
        }

        /** What each person may decide for themselves. */
        static List<Listed> personal() {
            return List.of(SIDE_OF_REACH, TEST_NAMES);
        }

        String settingName() {
            return settingName;
        }

        String words() {
            return words;
        }

        String shipped() {
            return shipped;
        }

        List<String> allowed() {
            return allowed;
        }

        static Optional<Listed> of(String name) {
            return List.of(values()).stream()
                    .filter(listed -> listed.settingName.equals(name))
                    .findFirst();
        }
    }

    private static final double MOST_NOISE = 1000;

    private final Catalogue catalogue;
    private final LivingEvidence living;
    private final NoiseTable noise;

    SettingNames(Catalogue catalogue, LivingEvidence living, NoiseTable noise) {
        this.noise = noise;
        this.catalogue = catalogue;
        this.living = living;
    }

    static String estimate(String condition, CareSetting setting) {
        return ESTIMATE + condition + "."
                + setting.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The name in words; empty where there is no such setting. */
    Optional<String> words(String name) {
        if (name.startsWith(SCHOOL)) {
            return school(name).map(Schools.Question::question);
        }
        if (name.startsWith(ESTIMATE)) {
            for (Condition condition : catalogue.conditions().values()) {
                for (CareSetting setting : CareSetting.values()) {
                    if (estimate(condition.id().value(), setting).equals(name)) {
                        return Optional.of("Start of " + condition.name() + ", "
                                + (setting == CareSetting.FIRST_CONTACT ? "first contact" : "specialist clinic"));
                    }
                }
            }
            return Optional.empty();
        }
        if (name.startsWith(RHO)) {
            return catalogue.groups().stream()
                    .filter(group -> name.equals(RHO + group.id()))
                    .findFirst()
                    .map(group -> "Correlation of “" + group.name() + "”");
        }
        if (name.startsWith(OWN)) {
            return OwnEstimates.subject(name, catalogue, living.evidence())
                    .map(subject -> "Own estimate: " + subject.test().name() + " for "
                            + subject.condition().name());
        }
        if (name.startsWith(NOTE)) {
            return NoteLength.of(name.substring(NOTE.length())).map(length -> "Template of the note, " + length.id());
        }
        if (name.startsWith(ROUTINE)) {
            return routine(name).map(named -> "Routine of the " + named.region() + ", " + named.id());
        }
        if (name.startsWith(NOISE)) {
            return noise.entries().stream()
                    .filter(each -> each.amount() > 0 && name.equals(NOISE + each.id() + AMOUNT))
                    .findFirst()
                    .map(each -> "Noise of " + inSentence(each.label()) + ", " + each.unit())
                    .or(() -> noise.entries().stream()
                            .filter(each -> each.share() > 0 && name.equals(NOISE + each.id() + SHARE))
                            .findFirst()
                            .map(each -> "Noise of " + inSentence(each.label()) + ", percent"));
        }
        return Optional.ofNullable(THRESHOLDS.get(name))
                .or(() -> Optional.ofNullable(WEIGHING.get(name)))
                .or(() -> Listed.of(name).map(Listed::words));
    }

    /** What is wrong with a value for a setting that exists, among the others as they are; empty where it can be. */
    Optional<String> fault(String name, String value, Settings now) {
        if (name.startsWith(SCHOOL)) {
            Schools.Question question = school(name).orElseThrow();
            return question.choice(value).isPresent()
                    ? Optional.empty()
                    : Optional.of("allowed: "
                            + question.choices().stream()
                                    .map(Schools.Choice::value)
                                    .toList());
        }
        if (Listed.of(name).isPresent()) {
            List<String> allowed = Listed.of(name).get().allowed();
            return allowed.contains(value) ? Optional.empty() : Optional.of("allowed: " + String.join(", ", allowed));
        }
        if (name.startsWith(OWN)) {
            return OwnEstimates.pair(value).isPresent()
                    ? Optional.empty()
                    : Optional.of(
                            "allowed: two likelihood ratios as positive/negative, each from 0.01 to 100, such as 3/0.5");
        }
        if (name.startsWith(RHO) || WEIGHING.containsKey(name)) {
            double most = name.startsWith(RHO)
                    ? Correlation.MOST
                    : name.equals(LINK) ? Assumptions.MOST_LINK : Assumptions.MOST_BETWEEN_STUDIES;
            double number = PlainNumber.of(value);
            return number >= 0 && number <= most
                    ? Optional.empty()
                    : Optional.of("allowed: a number from 0 to " + most);
        }
        if (name.startsWith(NOTE)) {
            return NoteTemplate.fault(value);
        }
        if (name.startsWith(ROUTINE)) {
            return routineFault(routine(name).orElseThrow(), value);
        }
        if (name.startsWith(NOISE)) {
            double most = name.endsWith(SHARE) ? 100 : MOST_NOISE;
            double number = PlainNumber.of(value);
            return number > 0 && number <= most
                    ? Optional.empty()
                    : Optional.of("allowed: a number above 0, at most " + Math.round(most));
        }
        double chance = PlainNumber.of(value);
        if (!(chance >= 0.001 && chance <= 0.999)) {
            return Optional.of("allowed: a chance from 0.001 to 0.999");
        }
        return THRESHOLDS.containsKey(name) ? outOfOrder(name, chance, now.thresholds()) : Optional.empty();
    }

    /** The region and the id of a routine in the name of its setting. */
    record RoutineName(String region, String id) {

        private static final Pattern NAME = Pattern.compile("routine\\.([a-z]{2,20})\\.([a-z0-9-]{1,40})");

        static Optional<RoutineName> of(String name) {
            Matcher matcher = NAME.matcher(name);
            return matcher.matches()
                    ? Optional.of(new RoutineName(matcher.group(1), matcher.group(2)))
                    : Optional.empty();
        }
    }

    private Optional<RoutineName> routine(String name) {
        return RoutineName.of(name).filter(named -> catalogue.routines().containsKey(named.region()));
    }

    private Optional<String> routineFault(RoutineName named, String text) {
        try {
            return RoutineCheck.of(catalogue, WorkRoutine.read(named.id(), named.region(), text))
                    .refusal(catalogue);
        } catch (WorkRoutine.Unreadable fault) {
            return Optional.of(fault.getMessage());
        }
    }

    private static String inSentence(String label) {
        return label.substring(0, 1).toLowerCase(Locale.UK) + label.substring(1);
    }

    private static Optional<String> outOfOrder(String name, double chance, Thresholds now) {
        double setAside = name.equals(SET_ASIDE) ? chance : now.setAside();
        double test = name.equals(TEST) ? chance : now.test();
        double act = name.equals(ACT) ? chance : now.act();
        return setAside < test && test < act
                ? Optional.empty()
                : Optional.of("allowed: set aside below test further, test further below working diagnosis");
    }

    private Optional<Schools.Question> school(String name) {
        return catalogue.schools().stream()
                .filter(question -> name.equals(SCHOOL + question.id()))
                .findFirst();
    }
}
