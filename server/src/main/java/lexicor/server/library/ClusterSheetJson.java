package lexicor.server.library;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * A published set of findings in full.
 *
 * @param fits whether the published levels can be true together with their components; absent where that cannot be
 *     checked
 * @param byInventors whether all its records come from those who derived it
 */
public record ClusterSheetJson(
        String id,
        String name,
        String conditionId,
        String conditionName,
        String note,
        List<ComponentJson> components,
        List<LevelJson> levels,
        List<RecordJson> records,
        @Schema(nullable = true) Boolean fits,
        boolean byInventors,
        boolean counted) {

    /** A counted item; {@code testIds} is empty for history. {@code block} is empty where all count alike. */
    public record ComponentJson(String name, String counts, List<String> testIds, String block, int atMost) {}

    /**
     * A band of the count.
     *
     * @param orMore whether the published figure speaks of this count or more
     * @param published what the record says; absent where nothing was published
     * @param exact the likelihood ratio of exactly this band; absent where none can be given
     * @param how how the exact figure came about
     */
    @Schema(name = "ClusterLevelJson")
    public record LevelJson(
            String name,
            int from,
            int to,
            String record,
            boolean orMore,
            @Schema(nullable = true) Double published,
            @Schema(nullable = true) Double exact,
            String how) {}
}
