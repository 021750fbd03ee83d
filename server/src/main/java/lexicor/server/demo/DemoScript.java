package lexicor.server.demo;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.catalogue.Routine;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Side;
import lexicor.core.examination.WholeAnswer;
import lexicor.core.intake.ConclusionQuestions;
import lexicor.core.source.SourceNode;
import lexicor.server.examinations.record.AnswerJson;
import lexicor.server.examinations.record.AttemptJson;
import lexicor.server.examinations.record.CommandJson;
import lexicor.server.examinations.record.CommandKind;
import lexicor.server.examinations.record.PartJson;

/** Turns the steps of one demo case into commands under a clock of its own, with the same ids every time. */
final class DemoScript {

    private static final Set<String> WORDS =
            Set.of(ConclusionQuestions.WHY, ConclusionQuestions.OWN_STEPS, ConclusionQuestions.ADVICE);

    /** Between two entries that are no test. */
    private static final Duration PAUSE = Duration.ofSeconds(17);

    /** How quick the demo's therapists are beside the catalogue's times, in percent: from, and how far beyond it. */
    private static final int QUICKEST = 70;

    private static final int SPREAD = 45;

    private final Catalogue catalogue;
    private final List<TestId> order;
    private final Side side;
    private final UUID client;
    private final List<CommandJson> commands = new ArrayList<>();
    private final Map<String, UUID> latest = new HashMap<>();
    private Instant now;

    DemoScript(Catalogue catalogue, Routine routine, Side side, Instant begins, UUID client) {
        this.catalogue = catalogue;
        this.order = routine.order();
        this.side = side;
        this.now = begins;
        this.client = client;
    }

    List<CommandJson> commands(List<SourceNode> steps) {
        steps.forEach(this::step);
        return commands;
    }

    /** The commands of further steps that were taken from a later time on. */
    List<CommandJson> later(Instant at, List<SourceNode> steps) {
        int before = commands.size();
        now = at;
        steps.forEach(this::step);
        return List.copyOf(commands.subList(before, commands.size()));
    }

    private void step(SourceNode step) {
        if (step.isText()) {
            undo(step);
            return;
        }
        step.allowing("test", "well", "hurt", "nothing", "again", "go", "told", "quiet");
        if (step.has("told")) {
            tell(step.child("told"));
            return;
        }
        if (step.has("go")) {
            add(CommandKind.MOVE, step.text("go"), null, List.of());
            return;
        }
        if (step.has("quiet")) {
            List<AttemptJson> quiet = new ArrayList<>();
            step.list("quiet").forEach(id -> quiet.addAll(nothing(catalogue.test(TestId.of(id.asText())))));
            add(
                    CommandKind.RECORD,
                    following(TestId.of(quiet.get(quiet.size() - 1).testId())),
                    null,
                    quiet);
            return;
        }
        ExaminationTest test = catalogue.test(TestId.of(step.text("test")));
        int tryNumber = step.has("again") ? step.whole("again", 2, 9) : 1;
        if (step.has("nothing")) {
            add(CommandKind.RECORD, following(test.id()), null, nothing(test));
            return;
        }
        step.optionalChild("well")
                .ifPresent(well -> add(
                        CommandKind.RECORD,
                        test.id().value(),
                        null,
                        List.of(attempt(test, side.other(), tryNumber, parts(test, well)))));
        step.optionalChild("hurt")
                .ifPresent(hurt -> add(
                        CommandKind.RECORD,
                        following(test.id()),
                        null,
                        List.of(attempt(test, side, tryNumber, parts(test, hurt)))));
    }

    private void undo(SourceNode step) {
        if (!step.asText().equals("undo")) {
            throw step.fault("'" + step.asText() + "' is not a step; allowed: undo, or the fields of a test");
        }
        CommandJson last = commands.get(commands.size() - 1);
        last.attempts().forEach(attempt -> latest.remove(attempt.testId() + attempt.side() + attempt.tryNumber()));
        add(CommandKind.UNDO, last.attempts().get(0).testId(), last.id(), List.of());
    }

    private void tell(SourceNode told) {
        List<AnswerJson> answers = new ArrayList<>();
        told.fields().forEach((question, value) -> answers.add(answer(question, value)));
        add(CommandKind.TELL, order.get(0).value(), null, List.of(), answers);
    }

    private static AnswerJson answer(String question, SourceNode value) {
        if (WORDS.contains(question)) {
            return new AnswerJson(question, List.of(), null, null, value.asText());
        }
        if (question.equals(ConclusionQuestions.CONFIDENCE)) {
            return new AnswerJson(question, List.of(), Double.valueOf(value.asText()), null, null);
        }
        if (question.startsWith("fact-date:") || question.equals(ConclusionQuestions.AGAIN)) {
            return new AnswerJson(question, List.of(), null, LocalDate.parse(value.asText()), null);
        }
        if (question.startsWith("override:") || question.startsWith("release:")) {
            return new AnswerJson(question, List.of(), null, null, value.asText());
        }
        if (question.startsWith("pain-now") || question.startsWith("pain-worst")) {
            return new AnswerJson(question, List.of(), Double.valueOf(value.asText()), null, null);
        }
        return new AnswerJson(
                question,
                value.isList() ? value.items().stream().map(SourceNode::asText).toList() : List.of(value.asText()),
                null,
                null,
                null);
    }

    private String following(TestId test) {
        int place = order.indexOf(test);
        return order.get(Math.min(place + 1, order.size() - 1)).value();
    }

    private void add(CommandKind kind, String standAt, UUID undoes, List<AttemptJson> attempts) {
        add(kind, standAt, undoes, attempts, List.of());
    }

    private void add(
            CommandKind kind, String standAt, UUID undoes, List<AttemptJson> attempts, List<AnswerJson> answers) {
        now = now.plus(pause(attempts));
        commands.add(new CommandJson(
                id("command"),
                client,
                (long) commands.size() + 1,
                now,
                kind,
                standAt,
                undoes,
                attempts,
                answers,
                null,
                null));
    }

    /** What was recorded took about as long as the catalogue says of it, each time a little otherwise. */
    private Duration pause(List<AttemptJson> attempts) {
        if (attempts.isEmpty()) {
            return PAUSE;
        }
        int share = QUICKEST + Math.floorMod(id("pace").hashCode(), SPREAD);
        return Duration.ofSeconds(Math.max(
                4,
                attempts.stream()
                                .mapToInt(attempt -> catalogue
                                        .test(TestId.of(attempt.testId()))
                                        .seconds())
                                .sum()
                        * share
                        / 100));
    }

    private AttemptJson attempt(ExaminationTest test, Side on, int tryNumber, List<PartJson> parts) {
        UUID id = id("attempt " + test.id() + on);
        UUID earlier = latest.put(test.id().value() + on + tryNumber, id);
        return new AttemptJson(
                id, test.id().value(), "usual", on, tryNumber, earlier == null ? Set.of() : Set.of(earlier), parts);
    }

    private UUID id(String what) {
        return UUID.nameUUIDFromBytes((client + what + commands.size()).getBytes(StandardCharsets.UTF_8));
    }

    /** "Nothing" on both sides, of the other one what is asked there. */
    private List<AttemptJson> nothing(ExaminationTest test) {
        List<PartJson> involved =
                WholeAnswer.nothing(test).parts().stream().map(PartJson::of).toList();
        List<PartJson> well = involved.stream()
                .filter(part -> test.wellSideParts().contains(part.key()))
                .toList();
        List<AttemptJson> both = new ArrayList<>();
        if (!well.isEmpty()) {
            both.add(attempt(test, side.other(), 1, well));
        }
        both.add(attempt(test, side, 1, involved));
        return both;
    }

    /** The parts named in a step; {@code part@position} and {@code part#2} name position and go. */
    private static List<PartJson> parts(ExaminationTest test, SourceNode node) {
        List<PartJson> parts = new ArrayList<>();
        node.fields().forEach((name, value) -> {
            String key = name.replaceAll("[@#].*", "");
            String position = name.contains("@") ? name.substring(name.indexOf('@') + 1) : null;
            Integer repeat = name.contains("#") ? Integer.valueOf(name.substring(name.indexOf('#') + 1)) : null;
            if (test.part(key).orElse(null) instanceof PartDefinition.Measure measure) {
                parts.add(new PartJson(
                        key,
                        null,
                        node.number(name, measure.least(), measure.most()),
                        measure.unit(),
                        null,
                        position,
                        repeat,
                        null));
            } else if (value.isList()) {
                value.items()
                        .forEach(tick ->
                                parts.add(new PartJson(key, tick.asText(), null, null, null, position, repeat, null)));
            } else if (key.equals("because")) {
                parts.add(new PartJson(key, null, null, null, value.asText(), null, null, null));
            } else {
                parts.add(new PartJson(key, value.asText(), null, null, null, position, repeat, null));
            }
        });
        return parts;
    }
}
