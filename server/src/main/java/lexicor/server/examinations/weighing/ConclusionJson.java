package lexicor.server.examinations.weighing;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import lexicor.core.conclusion.SigningBlocker;

/**
 * What stands beside a conclusion while the therapist makes it. The conclusion itself is told, question by question.
 *
 * @param sureness how sure, in a word; empty where nobody said
 * @param differs what the ranking puts first instead; absent where there is no difference
 * @param candidates conditions in the order in which they are looked for
 * @param toSettle what would settle the working diagnosis and its rivals, to consider, per local pathway
 * @param suggested tests of which a measure was taken, to be repeated
 * @param hindrances what stands in the way of signing
 */
public record ConclusionJson(
        long knows,
        String sureness,
        @Schema(nullable = true) DiffersJson differs,
        List<String> candidates,
        List<ToSettleJson> toSettle,
        List<MarkerJson> suggested,
        List<HindranceJson> hindrances) {

    /** What the ranking puts first, and its chance, 0..1. */
    public record DiffersJson(String conditionId, String name, double now) {}

    /** What would settle a condition, and how soon. */
    public record ToSettleJson(String conditionId, String name, String by, String soon) {}

    /** A test to repeat. */
    public record MarkerJson(String testId, String name) {}

    /**
     * What stands in the way of signing, and what to do about it; {@code testId} is empty where it concerns no test.
     */
    public record HindranceJson(SigningBlocker.Kind kind, String testId, String what, String then) {}
}
