package lexicor.core.intake;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Schools;
import lexicor.core.examination.Answer;
import lexicor.core.pathway.Pathway;
import lexicor.core.pathway.Pathways;

/**
 * Whether an answer has the shape that its question asks for. What an answer means, and whether it goes with others, is
 * not looked at here: see {@link IntakeFolder}.
 */
public final class AnswerCheck {

    /** The order of the tests as the therapist changed it. */
    public static final String ORDER = "order";

    /** The tests of the plan that the therapist took; the others are left out of it. */
    public static final String PLAN = "plan";

    /** Tests of the plan that the therapist put in or moved: not left out of it without asking. */
    public static final String BY_HAND = "plan-by-hand";

    /**
     * Tests that the plan is to be left alone with: kept though results have settled what they are for, or not wanted
     * in it.
     */
    public static final String KEPT = "plan-kept";

    /**
     * Where tests of the plan are done that can be done in several positions, each as test--position, in small letters
     * and hyphens.
     */
    public static final String POSITIONS = "plan-positions";

    /** Shortest words that count as a reason. */
    static final int SHORTEST_REASON = 3;

    /** Days that somebody living may speak of. */
    private static final LocalDate EARLIEST_DAY = LocalDate.of(1900, 1, 1);

    private static final LocalDate LATEST_DAY = LocalDate.of(2199, 12, 31);

    private static final String NOT_ASKED = "'%s' is not asked here; allowed: %s";

    /** A fault of an answer: the field of it, and what is allowed. */
    public record Fault(String field, String message) {}

    private final Catalogue catalogue;
    private final IntakeForm form;
    private final Pathways pathways;

    public AnswerCheck(Catalogue catalogue, IntakeForm form, Pathways pathways) {
        this.catalogue = catalogue;
        this.form = form;
        this.pathways = pathways;
    }

    /** The first fault of an answer in an examination of {@code region}; empty where it can be kept. */
    public Optional<Fault> fault(String region, Answer answer) {
        if (answer.number().isPresent() && !Double.isFinite(answer.number().getAsDouble())) {
            return wrong("number", "allowed: a finite number");
        }
        if (answer.empty()) {
            return kinds(region).contains(answer.kind()) ? Optional.empty() : unknown(region, answer);
        }
        return switch (answer.kind()) {
            case "zone" ->
                values(
                        answer,
                        form.zonesOf(region).stream().map(IntakeForm.Zone::id).toList(),
                        true);
            case "pain-areas", "tingling-areas" ->
                values(
                        answer,
                        withNone(form.drawingsOf(region).stream()
                                .flatMap(drawing -> drawing.areas().keySet().stream())
                                .toList()),
                        true);
            case IntakeFolder.RED_FLAGS ->
                values(
                        answer,
                        withNone(catalogue.redFlagsOf(region).stream()
                                .map(flag -> flag.id())
                                .toList()),
                        true);
            case IntakeFolder.FACTS -> values(answer, withNone(factsOf(region)), true);
            case "fact-date" -> about(answer, factsOf(region)).or(() -> day(answer));
            case "release" ->
                about(
                                answer,
                                catalogue.redFlagsOf(region).stream()
                                        .map(flag -> flag.id())
                                        .toList())
                        .or(() -> reason(answer));
            case "override" ->
                about(
                                answer,
                                catalogue.tests().keySet().stream()
                                        .map(test -> test.value())
                                        .toList())
                        .or(() -> reason(answer));
            case ORDER, PLAN, BY_HAND, KEPT ->
                values(
                        answer,
                        catalogue.tests().keySet().stream()
                                .map(test -> test.value())
                                .toList(),
                        true);
            case POSITIONS ->
                values(
                        answer,
                        catalogue.tests().values().stream()
                                .flatMap(test -> test.positions().stream()
                                        .map(position -> test.id() + "--"
                                                + position.toLowerCase(Locale.UK)
                                                        .replace(' ', '-')))
                                .toList(),
                        true);
            case "start" ->
                about(
                                answer,
                                form.zonesOf(region).stream()
                                        .flatMap(zone -> zone.conditions().stream())
                                        .map(condition -> condition.value())
                                        .distinct()
                                        .toList())
                        .or(() -> chance(answer));
            case "width" -> values(answer, List.of("firm", "usual", "vague"), false);
            case "school" -> school(answer);
            case Pathways.FOLLOWED ->
                values(answer, pathways.of(region).stream().map(Pathway::id).toList(), false);
            case Pathways.ANSWER ->
                pathways.answersTo(region, answer.about())
                        .map(allowed -> values(answer, allowed, false))
                        .orElseGet(
                                () -> wrong("question", "'" + answer.about() + "' is no question of a pathway here"));
            case ConclusionQuestions.WORKING -> values(answer, with(conditions(), ConclusionQuestions.OPEN), false);
            case ConclusionQuestions.RIVALS, ConclusionQuestions.STEPS -> values(answer, conditions(), true);
            case ConclusionQuestions.MARKERS ->
                values(
                        answer,
                        catalogue.tests().keySet().stream()
                                .map(test -> test.value())
                                .toList(),
                        true);
            case ConclusionQuestions.CONFIDENCE -> chance(answer);
            case ConclusionQuestions.AGAIN -> day(answer);
            case ConclusionQuestions.IN_WORDS,
                    ConclusionQuestions.WHY,
                    ConclusionQuestions.OWN_STEPS,
                    ConclusionQuestions.ADVICE -> reason(answer);
            default ->
                form.question(answer.question())
                        .filter(question -> form.questionsOf(region).contains(question))
                        .map(question -> question(region, question, answer))
                        .orElseGet(() -> unknown(region, answer));
        };
    }

    /**
     * What of an answer can be kept in an examination of {@code region} by today's questions; empty where nothing can.
     */
    public Optional<Answer> stillAsked(String region, Answer answer) {
        List<String> values = answer.values().stream()
                .filter(value -> fault(
                                region,
                                new Answer(
                                        answer.question(),
                                        List.of(value),
                                        answer.number(),
                                        answer.on(),
                                        answer.words()))
                        .isEmpty())
                .toList();
        Answer kept = new Answer(answer.question(), values, answer.number(), answer.on(), answer.words());
        return kept.empty() || fault(region, kept).isPresent() ? Optional.empty() : Optional.of(kept);
    }

    private Optional<Fault> question(String region, IntakeForm.Question question, Answer answer) {
        if (question.words()) {
            return reason(answer);
        }
        if (question.scale().isPresent()) {
            IntakeForm.Scale scale = question.scale().get();
            double number = answer.number().orElse(Double.NaN);
            return number >= scale.from() && number <= scale.to() && number == Math.rint(number)
                    ? Optional.empty()
                    : wrong("number", "allowed: whole numbers, " + scale.from() + " to " + scale.to());
        }
        List<String> options =
                question.options(region).stream().map(IntakeForm.Option::value).toList();
        return values(answer, question.none().isPresent() ? withNone(options) : options, question.many());
    }

    private Optional<Fault> school(Answer answer) {
        return about(
                        answer,
                        catalogue.schools().stream().map(Schools.Question::id).toList())
                .or(() -> {
                    Schools.Question question = catalogue.schools().stream()
                            .filter(each -> each.id().equals(answer.about()))
                            .findFirst()
                            .orElseThrow();
                    return values(
                            answer,
                            question.choices().stream()
                                    .map(Schools.Choice::value)
                                    .toList(),
                            false);
                });
    }

    private static Optional<Fault> chance(Answer answer) {
        double chance = answer.number().orElse(Double.NaN);
        return chance >= 0.001 && chance <= 0.999
                ? Optional.empty()
                : wrong("number", "allowed: a chance from 0.001 to 0.999");
    }

    private static Optional<Fault> day(Answer answer) {
        return answer.on()
                        .filter(day -> !day.isBefore(EARLIEST_DAY) && !day.isAfter(LATEST_DAY))
                        .isPresent()
                ? Optional.empty()
                : wrong("on", "allowed: a day from " + EARLIEST_DAY + " to " + LATEST_DAY);
    }

    private static Optional<Fault> reason(Answer answer) {
        return answer.words().strip().length() >= SHORTEST_REASON
                ? Optional.empty()
                : wrong("words", "allowed: the reason, in words");
    }

    private static Optional<Fault> about(Answer answer, List<String> allowed) {
        return allowed.contains(answer.about())
                ? Optional.empty()
                : wrong("question", NOT_ASKED.formatted(answer.about(), allowed));
    }

    private static Optional<Fault> values(Answer answer, List<String> allowed, boolean many) {
        if (answer.values().isEmpty() || !many && answer.values().size() > 1) {
            return wrong("values", "allowed: " + (many ? "at least one of " : "one of ") + allowed);
        }
        return answer.values().stream()
                .filter(value -> !allowed.contains(value))
                .findFirst()
                .flatMap(value -> wrong("values", "'" + value + "' is not an answer; allowed: " + allowed));
    }

    private Optional<Fault> unknown(String region, Answer answer) {
        return wrong("question", NOT_ASKED.formatted(answer.question(), kinds(region)));
    }

    private List<String> kinds(String region) {
        List<String> kinds = new ArrayList<>(List.of(
                "zone",
                "pain-areas",
                "tingling-areas",
                IntakeFolder.RED_FLAGS,
                IntakeFolder.FACTS,
                "fact-date",
                "release",
                "override",
                "start",
                "width",
                "school",
                ORDER,
                PLAN,
                BY_HAND,
                KEPT,
                POSITIONS,
                Pathways.FOLLOWED,
                Pathways.ANSWER,
                ConclusionQuestions.WORKING,
                ConclusionQuestions.IN_WORDS,
                ConclusionQuestions.RIVALS,
                ConclusionQuestions.CONFIDENCE,
                ConclusionQuestions.WHY,
                ConclusionQuestions.STEPS,
                ConclusionQuestions.OWN_STEPS,
                ConclusionQuestions.ADVICE,
                ConclusionQuestions.MARKERS,
                ConclusionQuestions.AGAIN));
        form.questionsOf(region).forEach(question -> kinds.add(question.id()));
        return kinds;
    }

    private List<String> factsOf(String region) {
        return catalogue.locksAsked(region).stream()
                .flatMap(lock -> lock.facts().stream())
                .map(fact -> fact.id())
                .toList();
    }

    private List<String> conditions() {
        return catalogue.conditions().keySet().stream()
                .map(condition -> condition.value())
                .toList();
    }

    private static List<String> withNone(List<String> values) {
        return with(values, IntakeForm.NONE);
    }

    private static List<String> with(List<String> values, String more) {
        List<String> all = new ArrayList<>(values);
        all.add(more);
        return all;
    }

    private static Optional<Fault> wrong(String field, String message) {
        return Optional.of(new Fault(field, message));
    }
}
