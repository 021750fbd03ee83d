package lexicor.server.examinations;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.examination.Side;
import lexicor.server.cases.Affected;
import lexicor.server.cases.CaseJson;
import lexicor.server.cases.VisitState;

/**
 * A page of the list of cases.
 *
 * @param total cases found
 * @param more whether there are more than were counted
 */
public record CaseListJson(List<Line> lines, long total, boolean more, int page, int size) {

    /**
     * A case with where its latest examination stands.
     *
     * @param leader the informed condition that stands highest; absent before any finding is weighed
     * @param chance where it stands, 0..1; absent with it
     */
    @Schema(name = "CaseLine")
    public record Line(
            CaseJson person,
            UUID examinationId,
            String region,
            Side side,
            boolean otherSideInvolved,
            VisitState state,
            int visits,
            int done,
            int total,
            Instant startedAt,
            Instant lastAt,
            @Schema(nullable = true) String leader,
            @Schema(nullable = true) Double chance) {}

    /** A case with its complaints and their examinations. */
    @Schema(name = "CaseSheetJson")
    public record Sheet(CaseJson person, List<EpisodeJson> episodes) {}

    /** A complaint, latest first. */
    public record EpisodeJson(UUID id, String region, Affected side, Instant openedAt, List<VisitJson> visits) {}

    /**
     * An examination in short.
     *
     * @param author sign-in name
     * @param by how the author is called
     * @param hidden whether what it found is kept from the person at work, who examines the same patient as a second
     *     examiner and has not signed yet
     */
    public record VisitJson(
            UUID id,
            Instant startedAt,
            Side side,
            CareSetting setting,
            String author,
            String by,
            boolean hidden,
            VisitState state,
            int done,
            int total,
            @Schema(nullable = true) String leader,
            @Schema(nullable = true) Double chance) {}
}
