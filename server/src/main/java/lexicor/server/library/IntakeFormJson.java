package lexicor.server.library;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Lock;
import lexicor.core.catalogue.RedFlag;
import lexicor.core.intake.IntakeForm;

/** What is asked before the hands in a region. */
public record IntakeFormJson(
        String region,
        List<ZoneJson> zones,
        List<DrawingJson> drawings,
        List<QuestionJson> questions,
        List<RedFlagJson> redFlags,
        List<LockAskedJson> locks) {

    static IntakeFormJson of(IntakeForm form, Catalogue catalogue, String region) {
        return new IntakeFormJson(
                region,
                form.zonesOf(region).stream().map(ZoneJson::of).toList(),
                form.drawingsOf(region).stream().map(DrawingJson::of).toList(),
                form.questionsOf(region).stream()
                        .map(question -> QuestionJson.of(question, region))
                        .toList(),
                catalogue.redFlagsOf(region).stream().map(RedFlagJson::of).toList(),
                catalogue.locksAsked(region).stream().map(LockAskedJson::of).toList());
    }

    /**
     * A zone.
     *
     * @param byStory whether it opens by itself
     * @param conditions ids of what starts at its full estimate there
     */
    public record ZoneJson(String id, String label, boolean byStory, List<String> conditions) {
        static ZoneJson of(IntakeForm.Zone zone) {
            return new ZoneJson(
                    zone.id(),
                    zone.label(),
                    zone.clue().isPresent(),
                    zone.conditions().stream().map(ConditionId::value).sorted().toList());
        }
    }

    /** A drawing with its areas. */
    public record DrawingJson(String view, List<AreaJson> areas) {
        static DrawingJson of(IntakeForm.Drawing drawing) {
            return new DrawingJson(
                    drawing.view(),
                    drawing.areas().entrySet().stream()
                            .map(area -> new AreaJson(area.getKey(), area.getValue()))
                            .toList());
        }
    }

    /** An area that can be painted. */
    public record AreaJson(String id, String label) {}

    /**
     * A question: with options, a scale of whole numbers, or to be answered in free words.
     *
     * @param none words of the answer that no option holds
     * @param where answers to other questions of which one has to hold for it to make sense; empty where it always does
     */
    public record QuestionJson(
            String id,
            String ask,
            boolean many,
            @Schema(nullable = true) String none,
            List<AnswerOptionJson> options,
            @Schema(nullable = true) Integer from,
            @Schema(nullable = true) Integer to,
            boolean words,
            List<WhereJson> where) {
        static QuestionJson of(IntakeForm.Question question, String region) {
            return new QuestionJson(
                    question.id(),
                    question.ask(),
                    question.many(),
                    question.none().orElse(null),
                    question.options(region).stream()
                            .map(option -> new AnswerOptionJson(
                                    option.value(),
                                    option.label(),
                                    WhereJson.of(option.where()),
                                    WhereJson.of(option.notWith())))
                            .toList(),
                    question.scale().map(IntakeForm.Scale::from).orElse(null),
                    question.scale().map(IntakeForm.Scale::to).orElse(null),
                    question.words(),
                    WhereJson.of(question.where()));
        }
    }

    /** A possible answer; {@code where} as of its question, {@code notWith} what contradicts it. */
    public record AnswerOptionJson(String value, String label, List<WhereJson> where, List<WhereJson> notWith) {}

    /** Answers to another question. */
    public record WhereJson(String question, List<String> values) {
        static List<WhereJson> of(Map<String, List<String>> where) {
            return where.entrySet().stream()
                    .map(each -> new WhereJson(each.getKey(), each.getValue()))
                    .toList();
        }
    }

    /** A red flag. */
    public record RedFlagJson(String id, String sign, String thinkOf, String then) {
        static RedFlagJson of(RedFlag flag) {
            return new RedFlagJson(flag.id(), flag.sign(), flag.thinkOf(), flag.then());
        }
    }

    /** A lock with the facts that close it. */
    public record LockAskedJson(String id, String kinds, String because, List<FactJson> facts) {
        static LockAskedJson of(Lock lock) {
            return new LockAskedJson(
                    lock.id(),
                    lock.kinds(),
                    lock.because(),
                    lock.facts().stream().map(FactJson::of).toList());
        }
    }

    /** A fact; with weeks where a window counts from its day. */
    public record FactJson(
            String id,
            String label,
            @Schema(nullable = true) Integer weeks) {
        static FactJson of(Lock.Fact fact) {
            OptionalInt weeks = fact.weeks();
            return new FactJson(fact.id(), fact.label(), weeks.isPresent() ? weeks.getAsInt() : null);
        }
    }
}
