package lexicor.server.practice;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lexicor.core.assessment.AssessedVisit;
import lexicor.core.assessment.VisitAssessor;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.Lock;
import lexicor.core.catalogue.RedFlag;
import lexicor.core.examination.Answer;
import lexicor.core.examination.Part;
import lexicor.core.intake.IntakeFolder;
import lexicor.core.intake.IntakeForm;
import lexicor.core.practice.PracticeCase;
import lexicor.core.practice.PracticeExamination;
import lexicor.core.practice.PracticeGround;
import lexicor.core.practice.PracticeStep;
import lexicor.core.practice.ResponseWords;
import lexicor.server.examinations.record.PartJson;
import lexicor.server.words.Words;
import org.springframework.stereotype.Component;

/** Writes practice cases as the page shows them. */
@Component
class PracticeWriter {

    private static final String PAIN_AREAS = "pain-areas";
    private static final String TINGLING_AREAS = "tingling-areas";

    private static final Map<String, String> ASKS = Map.of(
            IntakeFolder.RED_FLAGS,
            "Red flags",
            IntakeFolder.FACTS,
            "Reasons not to do a test",
            PAIN_AREAS,
            "Where does it hurt?",
            TINGLING_AREAS,
            "Where does it tingle?");

    private static final Map<String, PracticeCaseJson.QuestionGroup> GROUPS = Map.ofEntries(
            Map.entry(IntakeFolder.RED_FLAGS, PracticeCaseJson.QuestionGroup.SAFETY),
            Map.entry(IntakeFolder.FACTS, PracticeCaseJson.QuestionGroup.SAFETY),
            Map.entry("onset", PracticeCaseJson.QuestionGroup.BEGINNING),
            Map.entry("mechanism", PracticeCaseJson.QuestionGroup.BEGINNING),
            Map.entry("load", PracticeCaseJson.QuestionGroup.BEGINNING),
            Map.entry("duration", PracticeCaseJson.QuestionGroup.BEGINNING),
            Map.entry("pain-now", PracticeCaseJson.QuestionGroup.PAIN),
            Map.entry("pain-worst", PracticeCaseJson.QuestionGroup.PAIN),
            Map.entry("settles", PracticeCaseJson.QuestionGroup.PAIN),
            Map.entry("night", PracticeCaseJson.QuestionGroup.PAIN),
            Map.entry("stiffness", PracticeCaseJson.QuestionGroup.FEELS),
            Map.entry("instability", PracticeCaseJson.QuestionGroup.FEELS),
            Map.entry(PAIN_AREAS, PracticeCaseJson.QuestionGroup.WHERE),
            Map.entry(TINGLING_AREAS, PracticeCaseJson.QuestionGroup.WHERE));

    private final Catalogue catalogue;
    private final IntakeForm form;
    private final VisitAssessor assessor;

    PracticeWriter(Catalogue catalogue, IntakeForm form, VisitAssessor assessor) {
        this.catalogue = catalogue;
        this.form = form;
        this.assessor = assessor;
    }

    PracticeCaseJson written(PracticeService.Worked worked) {
        PracticeRow row = worked.row();
        PracticeExamination examination = worked.examination();
        PracticeCase known = examination.known();
        boolean ended = row.endedAt().isPresent();
        return new PracticeCaseJson(
                row.id(),
                row.title(),
                row.region(),
                known.side(),
                known.age(),
                known.sex(),
                known.occupation(),
                known.leading(),
                known.opening(),
                row.showing(),
                row.begunAt(),
                examination.steps().size(),
                ended,
                examination.seconds() / 60,
                examination.questions().stream().map(this::question).toList(),
                told(worked.ground().patients(), examination),
                tests(worked.ground().patients(), examination),
                catalogue.conditionsOf(row.region()).stream()
                        .map(condition -> condition(condition, row.region()))
                        .toList(),
                examination.believed().entrySet().stream()
                        .map(each ->
                                new PracticeCaseJson.ChanceJson(each.getKey().value(), each.getValue()))
                        .sorted((one, other) -> one.conditionId().compareTo(other.conditionId()))
                        .toList(),
                ended || row.showing() == PracticeRow.Showing.AS_I_GO && believedLast(examination)
                        ? shown(worked.ground().patients(), examination)
                        : List.of(),
                hint(examination));
    }

    PracticeCaseJson.RowJson row(PracticeService.Worked worked) {
        return new PracticeCaseJson.RowJson(
                worked.row().id(),
                worked.row().title(),
                worked.row().region(),
                worked.examination().known().opening(),
                worked.row().begunAt(),
                worked.row().endedAt().isPresent(),
                worked.examination().examined().size(),
                worked.examination().seconds() / 60,
                worked.row().endedAt().isPresent() ? was(worked.examination()) : null);
    }

    private String was(PracticeExamination examination) {
        if (examination.flagged()) {
            return "a red flag";
        }
        List<String> names = catalogue.narrowest(examination.known().present()).stream()
                .map(condition ->
                        Words.inSentence(catalogue.condition(condition).name()))
                .toList();
        return names.isEmpty() ? "nothing that these tests are about" : String.join(" and ", names);
    }

    private PracticeCaseJson.QuestionJson question(String id) {
        return new PracticeCaseJson.QuestionJson(
                id,
                ASKS.getOrDefault(
                        id, form.question(id).map(IntakeForm.Question::ask).orElse(id)),
                GROUPS.getOrDefault(id, PracticeCaseJson.QuestionGroup.MORE));
    }

    private PracticeCaseJson.ConditionJson condition(Condition condition, String region) {
        return new PracticeCaseJson.ConditionJson(
                condition.id().value(),
                condition.name(),
                condition.shortName(),
                catalogue.widerThan(condition.id()).stream()
                        .filter(wider -> catalogue.conditionsOf(region).stream()
                                .anyMatch(each -> each.id().equals(wider)))
                        .map(ConditionId::value)
                        .findFirst()
                        .orElse(null));
    }

    /** Every question asked, with its answer; one that makes no sense of this patient is answered with nothing. */
    private List<PracticeCaseJson.ToldJson> told(PracticeGround ground, PracticeExamination examination) {
        List<PracticeCaseJson.ToldJson> told = new ArrayList<>();
        Set<String> asked = new HashSet<>();
        for (PracticeStep step : examination.steps()) {
            if (step instanceof PracticeStep.Asked each) {
                each.questions().stream()
                        .filter(asked::add)
                        .forEach(question -> told.add(examination
                                .known()
                                .tells(question)
                                .map(answer -> told(ground, examination, answer))
                                .orElseGet(() -> new PracticeCaseJson.ToldJson(
                                        question,
                                        List.of("I cannot say anything about that."),
                                        List.of(),
                                        List.of()))));
            }
        }
        return told;
    }

    private PracticeCaseJson.ToldJson told(PracticeGround ground, PracticeExamination examination, Answer answer) {
        String question = answer.question();
        if (answer.number().isPresent()) {
            String words = Math.round(answer.number().getAsDouble()) + " of 10";
            return new PracticeCaseJson.ToldJson(question, List.of(words + "."), List.of(words), List.of());
        }
        if (answer.values().contains(IntakeForm.NONE) || answer.values().isEmpty()) {
            String none =
                    form.question(question).flatMap(IntakeForm.Question::none).orElse("None");
            String said =
                    ground.content().says().getOrDefault(question + ":" + IntakeForm.NONE, "No, nothing like that.");
            return new PracticeCaseJson.ToldJson(question, List.of(said), List.of(none), List.of());
        }
        List<String> labels = answer.values().stream()
                .map(value -> label(examination.known().region(), question, value))
                .toList();
        List<String> lines = new ArrayList<>();
        for (int v = 0; v < labels.size(); v++) {
            lines.add(ground.content()
                    .says()
                    .getOrDefault(question + ":" + answer.values().get(v), said(question, labels.get(v))));
        }
        boolean painted = question.equals(PAIN_AREAS) || question.equals(TINGLING_AREAS);
        return new PracticeCaseJson.ToldJson(question, lines, labels, painted ? answer.values() : List.of());
    }

    private static String said(String question, String label) {
        return question.equals(PAIN_AREAS) || question.equals(TINGLING_AREAS)
                ? "Here: " + label + "."
                : "Yes: " + label + ".";
    }

    private String label(String region, String question, String value) {
        return switch (question) {
            case IntakeFolder.RED_FLAGS ->
                catalogue.redFlagsOf(region).stream()
                        .filter(flag -> flag.id().equals(value))
                        .map(RedFlag::sign)
                        .findFirst()
                        .orElse(value);
            case IntakeFolder.FACTS ->
                catalogue.locksAsked(region).stream()
                        .flatMap(lock -> lock.facts().stream())
                        .filter(fact -> fact.id().equals(value))
                        .map(Lock.Fact::label)
                        .findFirst()
                        .orElse(value);
            case PAIN_AREAS, TINGLING_AREAS ->
                form.drawings().stream()
                        .flatMap(drawing -> drawing.areas().entrySet().stream())
                        .filter(area -> area.getKey().equals(value))
                        .map(Map.Entry::getValue)
                        .findFirst()
                        .orElse(value);
            default ->
                form.question(question).stream()
                        .flatMap(each -> each.options().stream())
                        .filter(option -> option.value().equals(value))
                        .map(IntakeForm.Option::label)
                        .findFirst()
                        .orElse(value);
        };
    }

    private List<PracticeCaseJson.TestJson> tests(PracticeGround ground, PracticeExamination examination) {
        ResponseWords words = new ResponseWords(ground);
        List<PracticeCaseJson.TestJson> tests = new ArrayList<>();
        for (int s = 0; s < examination.steps().size(); s++) {
            if (examination.steps().get(s) instanceof PracticeStep.Examined each) {
                ExaminationTest test = catalogue.test(each.test());
                tests.add(new PracticeCaseJson.TestJson(
                        s,
                        each.test().value(),
                        test.shortName(),
                        test.wayInWords(each.way()).orElse(""),
                        each.wellFirst(),
                        lines(words, test, each.here()),
                        lines(words, test, each.well()),
                        examination
                                .written(s)
                                .map(written -> new PracticeCaseJson.WrittenPartsJson(
                                        written.here().stream()
                                                .map(PartJson::of)
                                                .toList(),
                                        written.well().stream()
                                                .map(PartJson::of)
                                                .toList()))
                                .orElse(null),
                        each.hurt().map(why -> ground.content().hurt().get(why)).orElse(null)));
            }
        }
        return tests;
    }

    private static List<PracticeCaseJson.LineJson> lines(ResponseWords words, ExaminationTest test, List<Part> parts) {
        return words.lines(test, parts).stream()
                .map(line -> new PracticeCaseJson.LineJson(line.label(), line.words(), line.said()))
                .toList();
    }

    /** Whether own chances were put on the last answer. */
    private static boolean believedLast(PracticeExamination examination) {
        boolean believed = false;
        for (PracticeStep step : examination.steps()) {
            believed = step instanceof PracticeStep.Believed
                    || believed && !(step instanceof PracticeStep.Examined) && !(step instanceof PracticeStep.Asked);
        }
        return believed;
    }

    /** Where the weighing stands on the conditions that own chances were put on. */
    private List<PracticeCaseJson.ShownJson> shown(PracticeGround ground, PracticeExamination examination) {
        AssessedVisit visit =
                assessor.assess(examination.facts(), ground.weighing().evidence());
        Map<ConditionId, Double> now = ground.weighing().chances(visit.visit(), visit.readings());
        return examination.believed().keySet().stream()
                .filter(now::containsKey)
                .sorted((one, other) -> one.value().compareTo(other.value()))
                .map(condition -> new PracticeCaseJson.ShownJson(condition.value(), now.get(condition)))
                .toList();
    }

    private PracticeCaseJson.HintJson hint(PracticeExamination examination) {
        PracticeCaseJson.HintJson hint = null;
        for (PracticeStep step : examination.steps()) {
            if (step instanceof PracticeStep.Hinted each) {
                hint = new PracticeCaseJson.HintJson(
                        each.test().map(test -> test.value()).orElse(null),
                        each.test()
                                .map(test -> catalogue.test(test).shortName())
                                .orElse(null));
            } else if (step instanceof PracticeStep.Examined) {
                hint = null;
            }
        }
        return hint;
    }
}
